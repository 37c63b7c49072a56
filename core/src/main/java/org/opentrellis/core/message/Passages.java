package org.opentrellis.core.message;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.journey.PartId;

/** Which passages somebody gets, and the parts that they come to. */
public final class Passages {
  private Passages() {}

  /** The passages whose condition holds for somebody. */
  public static Set<PartId> holding(Manuscript.Email email, Recipient recipient) {
    Set<PartId> holding = new HashSet<>();
    email
        .allParts()
        .forEach(
            part -> {
              if (part instanceof Part.Passage passage && recipient.holds(passage.who())) {
                holding.add(passage.id());
              }
            });
    return holding;
  }

  /** The parts without passages: what is in those that hold, and otherwise what is instead. */
  public static List<Part> chosen(List<Part> parts, Set<PartId> holding) {
    return parts.stream().flatMap(part -> chosen(part, holding)).toList();
  }

  private static Stream<Part> chosen(Part part, Set<PartId> holding) {
    return switch (part) {
      case Part.Passage passage ->
          chosen(holding.contains(passage.id()) ? passage.parts() : passage.otherwise(), holding)
              .stream();
      case Part.Columns columns ->
          Stream.of(
              new Part.Columns(
                  columns.id(),
                  columns.columns().stream()
                      .map(one -> new Part.Column(chosen(one.parts(), holding)))
                      .toList()));
      case Part.Prose prose -> Stream.of(prose);
      case Part.Picture picture -> Stream.of(picture);
      case Part.Button button -> Stream.of(button);
      case Part.Rule rule -> Stream.of(rule);
      case Part.Space space -> Stream.of(space);
      case Part.Products products -> Stream.of(products);
      case Part.Voucher voucher -> Stream.of(voucher);
      case Part.News news -> Stream.of(news);
      case Part.Countdown countdown -> Stream.of(countdown);
      case Part.Film film -> Stream.of(film);
      case Part.LinkRow row -> Stream.of(row);
      case Part.OwnHtml html -> Stream.of(html);
    };
  }
}
