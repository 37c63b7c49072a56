package org.opentrellis.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.account.Regional;

/**
 * What a plain text begins with that is to be written by hand: the words of the parts with their
 * fields and links. It is the same for everybody, so passages and what the shop or the news bring
 * are left out.
 */
public final class PlainBegun {
  private final Regional regional;
  private final List<Block> blocks = new ArrayList<>();

  private PlainBegun(Regional regional) {
    this.regional = regional;
  }

  public static ByHand of(Manuscript.Email email, Regional regional) {
    PlainBegun begun = new PlainBegun(regional);
    Passages.chosen(email.parts(), Set.of()).forEach(begun::part);
    return new ByHand(begun.blocks);
  }

  private void part(Part part) {
    switch (part) {
      case Part.Prose prose -> blocks.addAll(prose.blocks());
      case Part.Button button ->
          blocks.add(
              new Block.Paragraph(
                  button.words().words().stream()
                      .map(one -> leading(one, button.link()))
                      .toList()));
      case Part.Picture picture -> say(picture.words(), picture.link());
      case Part.Film film -> say(film.words(), Optional.of(film.link()));
      case Part.LinkRow row ->
          row.links().forEach(one -> say(one.words(), Optional.of(one.link())));
      case Part.Columns columns ->
          columns.columns().forEach(column -> column.parts().forEach(this::part));
      case Part.Voucher voucher -> say(VoucherWords.of(voucher, regional), Optional.empty());
      case Part.Countdown countdown -> say(countdown.words(), Optional.empty());
      case Part.OwnHtml html ->
          OwnHtmlReading.words(html.html(), (to, name) -> "")
              .lines()
              .forEach(line -> say(line, Optional.empty()));
      case Part.Passage passage -> throw new IllegalArgumentException("not chosen: " + passage);
      case Part.Products products -> {}
      case Part.News news -> {}
      case Part.Rule rule -> {}
      case Part.Space space -> {}
    }
  }

  private void say(String words, Optional<Link> link) {
    if (!words.isBlank()) {
      blocks.add(new Block.Paragraph(List.of(new Inline.Words(words.strip(), false, false, link))));
    }
  }

  private static Inline leading(Inline one, Link link) {
    return switch (one) {
      case Inline.Words words -> new Inline.Words(words.text(), false, false, Optional.of(link));
      case Inline.Field field -> new Inline.Field(field.field(), false, false, Optional.of(link));
      case Inline.Break end -> end;
    };
  }
}
