package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;

/**
 * A preview text is there and no longer than an inbox shows: some 90 characters (common practice,
 * no source). Without one the first words of the letter stand there, whatever they are.
 */
final class PreviewText implements MessageCheck {
  private static final String CODE = "preview-text";
  private static final int SEEN = 90;

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.email().flatMap(email -> of(email).stream()).toList();
  }

  private static Optional<MessageFinding> of(Manuscript.Email email) {
    if (email.preview().isBlank()) {
      MessageFinding missing =
          MessageFinding.warning(
              CODE,
              Optional.empty(),
              "There is no preview text: inboxes show the first words of the letter behind the subject.");
      return Optional.of(
          firstWords(email)
              .map(words -> missing.fixedBy("Take the first sentence", email.withPreview(words)))
              .orElse(missing));
    }
    int length = email.preview().forNobody().length();
    return length <= SEEN
        ? Optional.empty()
        : Optional.of(
            MessageFinding.warning(
                CODE,
                Optional.empty(),
                "The preview text has %d characters; inboxes show some %d of them."
                    .formatted(length, SEEN)));
  }

  private static Optional<OneLine> firstWords(Manuscript.Email email) {
    return email
        .allParts()
        .filter(Part.Prose.class::isInstance)
        .flatMap(part -> ((Part.Prose) part).blocks().stream())
        .filter(Block.Paragraph.class::isInstance)
        .map(block -> sentence(((Block.Paragraph) block).words()))
        .filter(sentence -> !sentence.isBlank())
        .findFirst()
        .map(OneLine::of);
  }

  private static String sentence(List<Inline> words) {
    String all =
        words.stream()
            .map(
                one ->
                    switch (one) {
                      case Inline.Words some -> some.text();
                      case Inline.Field field -> field.field().fallback();
                      case Inline.Break end -> " ";
                    })
            .collect(Collectors.joining())
            .strip();
    String first = all.replaceFirst("(?<=[.!?])\\s.*", "");
    return first.length() <= SEEN ? first : first.substring(0, SEEN - 1).strip() + "\u2026";
  }
}
