package org.opentrellis.mail;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.VoucherWords;

/** Writes a letter whose passages are chosen as MJML, with slots for all that a user wrote. */
final class LetterMjml {
  private static final int SIDE = 24;

  private final Manuscript.Email email;
  private final Letterhead head;
  private final HouseStyle style;
  private final Slots slots;
  private final boolean dark;
  private final Map<PartId, Integer> numbers;
  private final StringBuilder out = new StringBuilder();

  /**
   * @param dark whether it is to look as in the dark, whatever the reader's system says
   * @param numbers of the parts that get a class {@code part-3}; may be empty
   */
  LetterMjml(
      Manuscript.Email email,
      Letterhead head,
      Slots slots,
      boolean dark,
      Map<PartId, Integer> numbers) {
    this.email = email;
    this.head = head;
    this.style = head.style().with(email.style());
    this.slots = slots;
    this.dark = dark;
    this.numbers = numbers;
  }

  String write(List<Part> parts) {
    add("<mjml><mj-head>");
    add("<mj-title>", slots.of(ProseHtml.of(email.subject())), "</mj-title>");
    if (!email.preview().isBlank()) {
      add("<mj-preview>", slots.of(ProseHtml.of(email.preview())), "</mj-preview>");
    }
    attributes();
    styles();
    add("</mj-head>");
    add("<mj-body width=\"", style.width() + "px", "\" css-class=\"ground\" background-color=\"");
    add(style.colours().ground().value(), "\">");
    space(20);
    logo();
    sections(parts);
    footer();
    add("<mj-raw>", slots.of(new Piece.OpenMark()), "</mj-raw>");
    add("</mj-body></mjml>");
    return out.toString();
  }

  private void attributes() {
    add("<mj-attributes><mj-all font-family=\"", style.typeface().families(), "\" />");
    add("<mj-section padding=\"0\" />");
    add("<mj-text padding=\"10px ", SIDE + "px\" line-height=\"1.55\" font-size=\"");
    add(style.size() + "px\" color=\"", style.colours().ink().value(), "\" css-class=\"ink\" />");
    add("<mj-button align=\"left\" css-class=\"button\" font-weight=\"700\" line-height=\"1.2\"");
    add(" padding=\"10px ", SIDE + "px\" inner-padding=\"13px 22px\" font-size=\"");
    add(style.size() + "px\" border-radius=\"", style.shape().radius() + "px\"");
    add(" background-color=\"", style.colours().button().value(), "\" color=\"");
    add(style.colours().buttonInk().value(), "\" />");
    add("<mj-image padding=\"10px ", SIDE + "px\" align=\"left\" />");
    add(
        "<mj-divider padding=\"14px ",
        SIDE + "px\" border-width=\"1px\" border-color=\"#C9D2C6\" />");
    add("</mj-attributes>");
  }

  private void styles() {
    String css = DarkColours.of(style).css();
    add("<mj-style>");
    add(":root { color-scheme: light dark; supported-color-schemes: light dark; } ");
    add(dark ? css : "@media (prefers-color-scheme: dark) { " + css + " }");
    add("</mj-style>");
  }

  private void logo() {
    style
        .logo()
        .ifPresent(
            file -> {
              beginSection("paper");
              picture(
                  "", new Piece.PictureOf(file, false), style.logoWords(), 34, Optional.empty());
              endSection();
            });
  }

  /** Parts that follow each other stand in one section; columns in one of their own. */
  private void sections(List<Part> parts) {
    beginSection("paper");
    add("<mj-spacer height=\"14px\" />");
    for (Part part : parts) {
      if (part instanceof Part.Columns columns) {
        endSection();
        add("<mj-section css-class=\"paper\" background-color=\"");
        add(style.colours().paper().value(), "\">");
        for (Part.Column column : columns.columns()) {
          add("<mj-column vertical-align=\"top\">");
          column.parts().forEach(this::part);
          if (column.parts().isEmpty()) {
            add("<mj-spacer height=\"1px\" />");
          }
          add("</mj-column>");
        }
        add("</mj-section>");
        beginSection("paper");
      } else {
        part(part);
      }
    }
    add("<mj-spacer height=\"18px\" />");
    endSection();
  }

  private void beginSection(String kind) {
    add("<mj-section css-class=\"", kind, "\" background-color=\"");
    add(style.colours().paper().value(), "\"><mj-column>");
  }

  private void endSection() {
    add("</mj-column></mj-section>");
  }

  private void part(Part part) {
    switch (part) {
      case Part.Prose prose -> text(part, slots.of(ProseHtml.of(prose, style)));
      case Part.Picture picture ->
          picture
              .file()
              .ifPresent(
                  file ->
                      picture(
                          marked(part, ""),
                          new Piece.PictureOf(file, false),
                          picture.words(),
                          picture.percent(),
                          picture.link()));
      case Part.Button button -> button(button);
      case Part.Columns columns -> throw new IllegalArgumentException("columns in columns");
      case Part.Passage passage -> throw new IllegalArgumentException("not chosen: " + passage);
      case Part.Rule rule -> add("<mj-divider", marked(part, ""), " />");
      case Part.Space space ->
          add("<mj-spacer", marked(part, ""), " height=\"" + space.height() + "px\" />");
      case Part.Products products ->
          text(part, slots.of(new Piece.Products(products, Look.of(style))));
      case Part.Voucher voucher -> voucher(voucher);
      case Part.News news -> text(part, slots.of(new Piece.News(news, Look.of(style))));
      case Part.Countdown countdown -> countdown(countdown);
      case Part.Film film -> film(film);
      case Part.LinkRow row -> text(part, slots.of(row(row)));
      case Part.OwnHtml html -> text(part, slots.of(OwnHtmlPieces.of(html.html())));
    }
  }

  private void text(Part part, String slot) {
    add("<mj-text", marked(part, "ink"), ">", slot, "</mj-text>");
  }

  /** The class that ties it to its part, behind the one that colours go by. */
  private String marked(Part part, String kind) {
    Integer number = numbers.get(part.id());
    String name = (kind + (number == null ? "" : " part-" + number)).strip();
    return name.isEmpty() ? "" : " css-class=\"" + name + "\"";
  }

  private void button(Part.Button button) {
    add("<mj-button", marked(button, "button"));
    href(button.link(), button.words());
    add(">", slots.of(ProseHtml.of(button.words())), "</mj-button>");
  }

  private void href(Link link, OneLine words) {
    link.to().ifPresent(to -> add(" href=\"", leads(to, words.forNobody(), link), "\""));
  }

  private String leads(Target to, String words, Link link) {
    return slots.of(new Piece.Leads(to, LinksIn.named(words, link)));
  }

  private void picture(String mark, Piece source, String words, int percent, Optional<Link> link) {
    int space = style.width() - 2 * SIDE;
    add("<mj-image", mark, " src=\"", slots.of(source), "\" alt=\"", slots.text(words), "\"");
    add(" width=\"" + Math.max(16, space * percent / 100) + "px\"");
    link.ifPresent(one -> href(one, OneLine.of(words)));
    add(" />");
  }

  private void film(Part.Film film) {
    film.picture()
        .ifPresent(
            file ->
                picture(
                    marked(film, ""),
                    new Piece.PictureOf(file, true),
                    film.words(),
                    100,
                    Optional.of(film.link())));
  }

  private void countdown(Part.Countdown countdown) {
    if (countdown.until().isPresent()) {
      picture(
          marked(countdown, ""),
          new Piece.DaysLeft(countdown),
          countdown.words(),
          50,
          Optional.empty());
    }
  }

  private void voucher(Part.Voucher voucher) {
    String terms = VoucherWords.terms(voucher, head.regional());
    List<Piece> pieces = new ArrayList<>();
    pieces.add(
        new Piece.Fixed(
            ("<table role=\"presentation\" width=\"100%%\" style=\"border:2px dashed %s;"
                    + "border-radius:%dpx\"><tr><td align=\"center\" style=\"padding:16px\">"
                    + "<p style=\"margin:0;font-size:%dpx;font-weight:700;letter-spacing:2px\">")
                .formatted(
                    style.colours().button(),
                    Math.min(10, style.shape().radius()),
                    Math.round(style.size() * 1.4))));
    pieces.add(new Piece.Fixed(Escaped.html(voucher.code())));
    pieces.add(new Piece.Fixed("</p><p style=\"margin:6px 0 0\">" + Escaped.html(terms)));
    pieces.add(new Piece.Fixed("</p></td></tr></table>"));
    text(voucher, slots.of(pieces));
  }

  private List<Piece> row(Part.LinkRow row) {
    List<Piece> pieces = new ArrayList<>();
    for (Part.RowLink one : row.links()) {
      if (!pieces.isEmpty()) {
        pieces.add(new Piece.Fixed(" &nbsp;\u00b7&nbsp; "));
      }
      pieces.addAll(link(one.words(), one.link()));
    }
    return pieces;
  }

  private List<Piece> link(String words, Link link) {
    List<Piece> pieces = new ArrayList<>();
    pieces.add(new Piece.Fixed("<a class=\"link\" style=\"color:" + style.colours().link() + "\""));
    link.to()
        .ifPresent(
            to -> {
              pieces.add(new Piece.Fixed(" href=\""));
              pieces.add(new Piece.Leads(to, LinksIn.named(words, link)));
              pieces.add(new Piece.Fixed("\""));
            });
    pieces.add(new Piece.Fixed(">" + Escaped.html(words) + "</a>"));
    return pieces;
  }

  private void footer() {
    List<Piece> pieces = new ArrayList<>();
    line(pieces, style.why());
    head.postalAddress().lines().forEach(one -> line(pieces, one.strip()));
    pieces.add(new Piece.Fixed("<p style=\"margin:8px 0 0\">"));
    for (Part.RowLink one : style.social()) {
      pieces.addAll(link(one.words(), one.link()));
      pieces.add(new Piece.Fixed(" &nbsp;\u00b7&nbsp; "));
    }
    pieces.addAll(link(Letterhead.CHOICES, Link.to(new Target.Choices())));
    pieces.add(new Piece.Fixed(" &nbsp;\u00b7&nbsp; "));
    pieces.addAll(link(Letterhead.UNSUBSCRIBE, Link.to(new Target.Unsubscribe())));
    pieces.add(new Piece.Fixed("</p>"));
    add("<mj-section css-class=\"ground\"><mj-column><mj-text css-class=\"ink footer\"");
    add(" font-size=\"13px\" padding=\"18px ", SIDE + "px 28px\">", slots.of(pieces));
    add("</mj-text></mj-column></mj-section>");
  }

  private static void line(List<Piece> pieces, String words) {
    if (!words.isBlank()) {
      pieces.add(new Piece.Fixed("<p style=\"margin:0\">" + Escaped.html(words) + "</p>"));
    }
  }

  private void space(int height) {
    add("<mj-section css-class=\"ground\"><mj-column><mj-spacer height=\"" + height + "px\" />");
    add("</mj-column></mj-section>");
  }

  private void add(String... texts) {
    for (String text : texts) {
      out.append(text);
    }
  }
}
