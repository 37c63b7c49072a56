package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.ByHand;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;

/** Changes parts wherever they stand. */
final class Mending {
  private Mending() {}

  static Manuscript parts(Manuscript manuscript, UnaryOperator<List<Part>> change) {
    return switch (manuscript) {
      case Manuscript.Email email ->
          email
              .with(change.apply(email.parts()))
              .withPlain(email.plain().flatMap(plain -> byHand(plain, change)));
      case Manuscript.Text text -> text;
    };
  }

  private static Optional<ByHand> byHand(ByHand plain, UnaryOperator<List<Part>> change) {
    return change.apply(List.of(plain.part())).stream()
        .filter(Part.Prose.class::isInstance)
        .map(part -> new ByHand(((Part.Prose) part).blocks()))
        .findFirst();
  }

  static List<Part> replace(List<Part> parts, Part other) {
    return parts.stream()
        .map(part -> part.id().equals(other.id()) ? other : inside(part, l -> replace(l, other)))
        .toList();
  }

  static List<Part> remove(List<Part> parts, PartId gone) {
    return parts.stream()
        .filter(part -> !part.id().equals(gone))
        .map(part -> inside(part, list -> remove(list, gone)))
        .toList();
  }

  /** The parts of a passage in its place. */
  static List<Part> unwrap(List<Part> parts, PartId passage) {
    return parts.stream()
        .flatMap(
            part ->
                part instanceof Part.Passage one && one.id().equals(passage)
                    ? one.parts().stream()
                    : Stream.of(inside(part, list -> unwrap(list, passage))))
        .toList();
  }

  private static Part inside(Part part, UnaryOperator<List<Part>> change) {
    return switch (part) {
      case Part.Columns columns ->
          new Part.Columns(
              columns.id(),
              columns.columns().stream()
                  .map(one -> new Part.Column(change.apply(one.parts())))
                  .toList());
      case Part.Passage passage ->
          new Part.Passage(
              passage.id(),
              passage.who(),
              change.apply(passage.parts()),
              change.apply(passage.otherwise()));
      case Part.Prose prose -> prose;
      case Part.Picture picture -> picture;
      case Part.Button button -> button;
      case Part.Rule rule -> rule;
      case Part.Space space -> space;
      case Part.Products products -> products;
      case Part.Voucher voucher -> voucher;
      case Part.News news -> news;
      case Part.Countdown countdown -> countdown;
      case Part.Film film -> film;
      case Part.LinkRow row -> row;
      case Part.OwnHtml html -> html;
    };
  }
}
