package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Part;

/** A part that shows a picture has one, and it is kept. */
final class PictureMissing implements MessageCheck {
  private static final String CODE = "picture-missing";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    proof
        .parts(Part.Picture.class)
        .forEach(one -> look(one.id(), one.file(), proof).ifPresent(findings::add));
    proof
        .parts(Part.Film.class)
        .forEach(one -> look(one.id(), one.picture(), proof).ifPresent(findings::add));
    return findings;
  }

  private static Optional<MessageFinding> look(
      PartId part, Optional<FileName> file, Proofreading proof) {
    if (file.isEmpty()) {
      return Optional.of(
          MessageFinding.error(
                  CODE, Optional.of(part), "No picture is chosen here, so nothing is shown.")
              .fixedBy("Take it out", proof.without(part)));
    }
    boolean shown = proof.file(file.get()).filter(KnownFile::picture).isPresent();
    return shown
        ? Optional.empty()
        : Optional.of(
            MessageFinding.error(
                    CODE,
                    Optional.of(part),
                    "The picture \u201c%s\u201d is not there any more.".formatted(file.get()))
                .fixedBy("Take it out", proof.without(part)));
  }
}
