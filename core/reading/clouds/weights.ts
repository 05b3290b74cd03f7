/**
 * What speaks for a dense place being a cloud of bait, in log odds, and calm or hunted. The first by logistic regression over 410 dense
 * places of made, plans' and painted passes, fish beside each other and parts of cover among them (seeds 4,000,000 on); how surely they say it together by another over 894 claims (seeds 7,300,000 on). Judged on others.
 */
export const CLOUD_WEIGHTS = {
  even: -5,
  /** A factor e more of thickness in pulses, ping by ping, up to the most that say more: two fish side by side are as thin as one. */
  perThick: 2.6,
  mostThick: 20,
  /** A factor e more of length over height, within bounds: columns are no bait. */
  perStretch: 2.35,
  stretchFrom: 0.2,
  stretchTo: 4,
  /** Thinner than so many pulses, a factor e more of length over so many heights: fish that go along with the boat are drawn so. */
  thin: 5,
  long: 6,
  perThread: 5.2,
  /** Share of it that stands out, from where it is as likely as not. */
  perFill: 8.7,
  evenFill: 0.75,
  /** Hanging from the clutter under the surface, and so much more for lying within it. */
  hangs: 1.7,
  within: 5.4,
  /** Touching the bed, as what stands on it does; the regression says more, but its water has no bait on the bed. */
  onBed: 3.5,
  /** A cloud over more pings than this is rather a layer. */
  layerPings: 400,
  /**
   * Hunted, by either of two: from so many times longer than high, or an edge that strays from ping to ping by this share of its height, it
   * is as likely as not, and what a factor e more of each says. An outline less full than this is drawn fish by fish, and its edge strays
   * by that. Greatest likelihood over 480 clouds of made, plans’ and painted passes, each as weighty (seeds 9,100,000 on), judged on others.
   */
  evenDrawnOut: 3.7,
  perDrawnOut: 25,
  evenRagged: 0.034,
  perRagged: 5.3,
  full: 0.75,
  perEmpty: 40,
} as const;
