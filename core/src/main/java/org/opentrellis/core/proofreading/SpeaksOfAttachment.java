package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;

/** Nothing is attached to a mail here: files are linked, so that one knows who took them. */
final class SpeaksOfAttachment implements MessageCheck {
  private static final Pattern SPEAKS =
      Pattern.compile("(?i)\\b(attached|attachments?|enclosed)\\b");

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    boolean linked =
        LinksIn.of(proof.manuscript()).stream()
            .anyMatch(one -> one.link().to().filter(Target.KeptFile.class::isInstance).isPresent());
    return linked
        ? List.of()
        : proof.parts(Part.Prose.class).stream()
            .filter(part -> SPEAKS.matcher(said(part)).find())
            .map(
                part ->
                    MessageFinding.warning(
                        "speaks-of-attachment",
                        Optional.of(part.id()),
                        "It speaks of something attached, and no file is linked: add \u201cbutton \u2026 to file \u2026\u201d."))
            .toList();
  }

  private static String said(Part.Prose prose) {
    return prose.blocks().stream()
        .flatMap(Block::lines)
        .flatMap(List::stream)
        .map(one -> one instanceof Inline.Words words ? words.text() : " ")
        .collect(Collectors.joining());
  }
}
