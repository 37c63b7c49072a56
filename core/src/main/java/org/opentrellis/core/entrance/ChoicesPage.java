package org.opentrellis.core.entrance;

import java.util.LinkedHashSet;
import java.util.List;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.message.Limits;

/**
 * The page behind the link of each mail on which its reader chooses what they get.
 *
 * @param title stands above it
 * @param lists that they may be on or not
 * @param asks what they may change, in order; each thing once
 * @param howOften whether they may choose how often they are mailed
 */
public record ChoicesPage(String title, List<ListName> lists, List<Asked> asks, boolean howOften) {
  public ChoicesPage {
    title = Limits.line("a title", title, 200);
    lists = List.copyOf(new LinkedHashSet<>(lists));
    asks = Asked.once(asks);
  }

  /** As it is before anybody changes it. */
  public static ChoicesPage begun() {
    return new ChoicesPage(
        "What would you like to get from us?",
        List.of(),
        List.of(new Asked.FirstName(false), new Asked.LastName(false)),
        true);
  }
}
