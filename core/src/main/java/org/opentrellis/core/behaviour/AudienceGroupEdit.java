package org.opentrellis.core.behaviour;

/** A group with some of it exchanged: {@code group.edit().share(0.5).done()}. */
public final class AudienceGroupEdit {
  private final AudienceGroup from;
  private double share;
  private Keenness keenness;
  private Assumed preloads;
  private Assumed softBounce;
  private Assumed buysAnyway;
  private Assumed returnsToCart;

  AudienceGroupEdit(AudienceGroup from) {
    this.from = from;
    share = from.share();
    keenness = from.keenness();
    preloads = from.preloads();
    softBounce = from.softBounce();
    buysAnyway = from.buysAnyway();
    returnsToCart = from.returnsToCart();
  }

  public AudienceGroupEdit share(double other) {
    share = other;
    return this;
  }

  public AudienceGroupEdit keenness(Keenness other) {
    keenness = other;
    return this;
  }

  public AudienceGroupEdit preloads(Assumed other) {
    preloads = other;
    return this;
  }

  public AudienceGroupEdit softBounce(Assumed other) {
    softBounce = other;
    return this;
  }

  public AudienceGroupEdit buysAnyway(Assumed other) {
    buysAnyway = other;
    return this;
  }

  public AudienceGroupEdit returnsToCart(Assumed other) {
    returnsToCart = other;
    return this;
  }

  public AudienceGroup done() {
    return new AudienceGroup(
        from.name(),
        share,
        keenness,
        from.zone(),
        from.arriveFromHour(),
        from.arriveToHour(),
        preloads,
        from.hardBounce(),
        softBounce,
        from.textConsent(),
        buysAnyway,
        returnsToCart,
        from.returnMeanHours(),
        from.comesAgain(),
        from.tags(),
        from.lists(),
        from.fields(),
        from.events());
  }
}
