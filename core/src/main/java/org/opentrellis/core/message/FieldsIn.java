package org.opentrellis.core.message;

import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.PartId;

/** Finds the merge fields of a message, in the order of reading. */
public final class FieldsIn {
  /**
   * @param part where it stands; empty in the subject, the preview text or a text message
   */
  public record Found(MergeField field, Optional<PartId> part) {}

  private FieldsIn() {}

  public static Stream<Found> of(Manuscript manuscript) {
    return switch (manuscript) {
      case Manuscript.Email email ->
          Stream.concat(
              Stream.concat(email.subject().fields(), email.preview().fields())
                  .map(field -> new Found(field, Optional.empty())),
              email
                  .written()
                  .flatMap(
                      part -> of(part).map(field -> new Found(field, Optional.of(part.id())))));
      case Manuscript.Text text ->
          text.words().fields().map(field -> new Found(field, Optional.empty()));
    };
  }

  /** Those right in a part. */
  public static Stream<MergeField> of(Part part) {
    return switch (part) {
      case Part.Prose prose ->
          prose.blocks().stream()
              .flatMap(Block::lines)
              .flatMap(line -> line.stream())
              .flatMap(OneLine::field);
      case Part.Button button -> button.words().fields();
      case Part.Picture picture -> Stream.empty();
      case Part.Columns columns -> Stream.empty();
      case Part.Passage passage -> Stream.empty();
      case Part.Rule rule -> Stream.empty();
      case Part.Space space -> Stream.empty();
      case Part.Products products -> Stream.empty();
      case Part.Voucher voucher -> Stream.empty();
      case Part.News news -> Stream.empty();
      case Part.Countdown countdown -> Stream.empty();
      case Part.Film film -> Stream.empty();
      case Part.LinkRow row -> Stream.empty();
      case Part.OwnHtml html -> Stream.empty();
    };
  }
}
