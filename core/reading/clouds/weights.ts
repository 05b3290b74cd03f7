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
   * Hunted, by either of two: from so many times longer than high, or an edge that strays from ping to ping by this share of its height, it
   * is as likely as not, and what a factor e more of each says. An outline less full than this is drawn fish by fish, and its edge strays
   * by that. Fitted on made and painted passes alike (seeds 5,000 on), judged on others.
   */
  evenStretch: 4.4,
  perStretch: 10,
  evenRagged: 0.038,
  perRagged: 5,
  full: 0.7,
  perEmpty: 20,
} as const;
