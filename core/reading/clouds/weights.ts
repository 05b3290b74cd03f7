/**
 * What speaks for a dense place being a cloud, in log odds, and calm or hunted. Chosen on the simulator's passes with bait
 * in every pass (`npm run accuracy`), judged on fresh seeds.
 */
export const CLOUD_WEIGHTS = {
  /** A decibel over the water, from where it is as likely as not. */
  perDb: 0.5,
  evenDb: 9,
  /** A ping more than ten, up to the most that say more. */
  perPing: 0.15,
  evenPings: 10,
  mostPings: 20,
  /** Share of its pings that have it, from where it is as likely as not. */
  perFilled: 2,
  evenFilled: 0.6,
  /** Hanging from the clutter under the surface, and the same again for lying within it. */
  hangs: 3,
  within: 3,
  /** A cloud over more pings than this is rather a layer. */
  layerPings: 400,
  /**
   * Calm against hunted, fitted by logistic regression on made and painted passes alike (seeds 700 and 800,000 on): so many times
   * longer than high, and an edge that strays from ping to ping by this share of its height, speak for neither; and what a factor e
   * more of each says.
   */
  evenStretch: 4,
  perStretch: 1.9,
  evenRagged: 0.0223,
  perRagged: 3.2,
} as const;
