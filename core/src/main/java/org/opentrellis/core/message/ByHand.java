package org.opentrellis.core.message;

import java.util.List;
import org.opentrellis.core.journey.PartId;

/** A plain text that was written by hand, in the place of the one that is made from the parts. */
public record ByHand(List<Block> blocks) {
  /** What it is called among the parts. */
  public static final PartId ID = new PartId("plain-text");

  public ByHand {
    blocks = List.copyOf(blocks);
  }

  /** It as a part, for whoever looks through all that is written. */
  public Part.Prose part() {
    return new Part.Prose(ID, blocks);
  }
}
