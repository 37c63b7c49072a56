package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.FreshPartIds;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;

/** A link that a journey asks about is there: else nobody ever takes that way. */
final class AskedLinkGone implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<LinkName> there = LinksIn.names(proof.manuscript());
    List<MessageFinding> findings = new ArrayList<>();
    proof.asked().stream()
        .filter(asked -> !there.contains(asked.link()))
        .distinct()
        .forEach(
            asked ->
                findings.add(
                    MessageFinding.error(
                            "asked-link-gone",
                            Optional.empty(),
                            "The journey \u201c%s\u201d asks who clicks \u201c%s\u201d, and no link here is called so."
                                .formatted(asked.journey(), asked.link()))
                        .fixedBy(
                            "Add a button \u201c" + asked.link() + "\u201d", with(asked, proof))));
    return findings;
  }

  private static Manuscript with(AskedLink asked, Proofreading proof) {
    return switch (proof.manuscript()) {
      case Manuscript.Email email -> {
        List<Part> parts = new ArrayList<>(email.parts());
        parts.add(
            new Part.Button(
                FreshPartIds.of(email).next(), OneLine.of(asked.link().value()), Link.NOWHERE));
        yield email.with(parts);
      }
      case Manuscript.Text text -> {
        List<Part.RowLink> links = new ArrayList<>(text.links());
        links.add(new Part.RowLink(asked.link().value(), Link.NOWHERE));
        yield new Manuscript.Text(text.words(), text.voucher(), links);
      }
    };
  }
}
