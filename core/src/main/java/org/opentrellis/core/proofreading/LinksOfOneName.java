package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.FoundLink;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.LinksIn;

/** Clicks on links of one name are counted together: that they lead apart is worth knowing. */
final class LinksOfOneName implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    Map<LinkName, Link> first = new HashMap<>();
    for (FoundLink one : LinksIn.of(proof.manuscript())) {
      if (one.name().isPresent() && one.link().counts()) {
        Link before = first.putIfAbsent(one.name().get(), one.link());
        if (before != null && !before.to().equals(one.link().to())) {
          findings.add(
              MessageFinding.warning(
                  "links-of-one-name",
                  one.part(),
                  "Two links are called \u201c%s\u201d and lead to different places: their clicks are counted as one."
                      .formatted(one.name().get())));
        }
      }
    }
    return findings;
  }
}
