package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.message.Part;

/**
 * Whoever does not see a picture reads its words: many mail programs show none at first, and some
 * people never do (WCAG 2.2, success criterion 1.1.1).
 */
final class PictureWithoutWords implements MessageCheck {
  private static final String CODE = "picture-without-words";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (Part.Picture one : proof.parts(Part.Picture.class)) {
      if (one.words().isBlank() && one.file().isPresent()) {
        String words = words(one.file().get());
        findings.add(
            finding(one.id().value(), one)
                .fixedBy(
                    "Say \u201c" + words + "\u201d",
                    proof.with(
                        new Part.Picture(one.id(), one.file(), words, one.link(), one.percent()))));
      }
    }
    for (Part.Film one : proof.parts(Part.Film.class)) {
      if (one.words().isBlank() && one.picture().isPresent()) {
        String words = words(one.picture().get());
        findings.add(
            finding(one.id().value(), one)
                .fixedBy(
                    "Say \u201c" + words + "\u201d",
                    proof.with(new Part.Film(one.id(), one.picture(), words, one.link()))));
      }
    }
    return findings;
  }

  private static MessageFinding finding(String id, Part part) {
    return MessageFinding.warning(
        CODE,
        Optional.of(part.id()),
        "The picture has no words: whoever does not see it learns nothing of it.");
  }

  /** "hives-in-clover.png" as "Hives in clover". */
  private static String words(FileName file) {
    String plain = file.value().replaceFirst("\\.[^.]*$", "").replaceAll("[-_.]+", " ").strip();
    return plain.isEmpty()
        ? "Picture"
        : plain.substring(0, 1).toUpperCase(Locale.ROOT) + plain.substring(1);
  }
}
