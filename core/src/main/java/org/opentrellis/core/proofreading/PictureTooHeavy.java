package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.message.Part;

/**
 * A picture that takes long to come is not waited for: 300 kB at most (common practice, no source).
 */
final class PictureTooHeavy implements MessageCheck {
  private static final long MOST = 300_000;

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (Part.Picture one : proof.parts(Part.Picture.class)) {
      one.file()
          .flatMap(proof::file)
          .filter(file -> file.bytes() > MOST)
          .ifPresent(
              file ->
                  findings.add(
                      MessageFinding.warning(
                          "picture-too-heavy",
                          Optional.of(one.id()),
                          String.format(
                              Locale.ROOT,
                              "The picture has %.0f kB; over a phone it takes seconds to come. %d kB are enough.",
                              file.bytes() / 1000.0,
                              MOST / 1000))));
    }
    return findings;
  }
}
