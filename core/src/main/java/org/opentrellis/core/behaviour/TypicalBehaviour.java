package org.opentrellis.core.behaviour;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The values that a new journey starts from, until somebody sets or measures better ones. All are
 * common practice, no source: round figures of the kind that practitioners reckon with. What the
 * model knows but few journeys need starts at "no effect".
 */
public final class TypicalBehaviour {
  private TypicalBehaviour() {}

  public static Behaviour in(ZoneId zone) {
    return new Behaviour(
        List.of(group("Everyone", 1, new Keenness(0.38, 0.25), zone)),
        Assumed.typical(3),
        Assumed.typical(1.6),
        Assumed.typical(2),
        Assumed.typical(1),
        Assumed.typical(8),
        Attention.flat(Origin.TYPICAL),
        Assumed.typical(0.08),
        Assumed.typical(18),
        Assumed.typical(60),
        Assumed.typical(0.8),
        List.of(),
        new Tiredness(Assumed.typical(4), Assumed.typical(1), Assumed.typical(1)),
        Assumed.typical(1),
        reaction(),
        Map.of());
  }

  public static Reaction reaction() {
    return new Reaction(
        Assumed.typical(1),
        Assumed.typical(0.22),
        Assumed.typical(0.006),
        Assumed.typical(0),
        List.of());
  }

  public static AudienceGroup group(String name, double share, Keenness keenness, ZoneId zone) {
    return new AudienceGroup(
        name,
        share,
        keenness,
        zone,
        0,
        24,
        Assumed.typical(0.18),
        Assumed.typical(0.008),
        Assumed.typical(0.01),
        Assumed.typical(0.6),
        Assumed.typical(0.024),
        Assumed.typical(0.1),
        Assumed.typical(20),
        Assumed.typical(0),
        Set.of(),
        Set.of(),
        Map.of(),
        Map.of(),
        Map.of());
  }
}
