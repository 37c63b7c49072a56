package org.opentrellis.core.message;

import java.util.HashSet;
import java.util.Set;
import org.opentrellis.core.journey.PartId;

/** Ids that no part of an email has yet: "p1", "p2" and so on. */
public final class FreshPartIds {
  private final Set<PartId> taken = new HashSet<>();

  private FreshPartIds() {}

  public static FreshPartIds of(Manuscript.Email email) {
    FreshPartIds ids = new FreshPartIds();
    email.written().map(Part::id).forEach(ids.taken::add);
    return ids;
  }

  /** Another one each time. */
  public PartId next() {
    int n = 1;
    while (!taken.add(new PartId("p" + n))) {
      n++;
    }
    return new PartId("p" + n);
  }
}
