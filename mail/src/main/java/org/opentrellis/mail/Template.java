package org.opentrellis.mail;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.ProductShown;
import org.opentrellis.core.message.Recipient;
import org.opentrellis.core.message.Target;

/** A letter rendered once for all who get the same passages. Immutable. */
public final class Template {
  private static final int FOR_VALUES = 2000;

  private final List<Piece> pieces;
  private final int size;

  Template(List<Piece> pieces) {
    this.pieces = pieces;
    this.size =
        pieces.stream()
            .mapToInt(p -> p instanceof Piece.Fixed fixed ? fixed.html().length() : 40)
            .sum();
  }

  /** The HTML for one person. */
  public String fill(Filling filling, Recipient recipient, Addresses addresses) {
    StringBuilder html = new StringBuilder(size + FOR_VALUES);
    for (Piece piece : pieces) {
      switch (piece) {
        case Piece.Fixed fixed -> html.append(fixed.html());
        case Piece.Value value -> html.append(Escaped.html(filling.of(value.field())));
        case Piece.Leads leads ->
            html.append(Escaped.html(addresses.link(leads.to(), leads.name())));
        case Piece.PictureOf picture ->
            html.append(Escaped.html(addresses.picture(picture.file(), picture.withPlayMark())));
        case Piece.DaysLeft left -> html.append(Escaped.html(addresses.daysLeft(left.countdown())));
        case Piece.Products products ->
            recipient.products(products.part().which()).stream()
                .limit(products.part().most())
                .forEach(one -> product(one, products.look(), addresses, html));
        case Piece.News news ->
            recipient.news().stream()
                .limit(news.part().most())
                .forEach(one -> entry(one, news.look(), addresses, html));
        case Piece.OpenMark mark ->
            addresses
                .openMark()
                .ifPresent(
                    address ->
                        html.append("<img src=\"")
                            .append(Escaped.html(address))
                            .append(
                                "\" width=\"1\" height=\"1\" alt=\"\" style=\"display:block\">"));
      }
    }
    return html.toString();
  }

  private static void product(
      ProductShown one, Look look, Addresses addresses, StringBuilder html) {
    html.append("<table role=\"presentation\" width=\"100%\" style=\"margin:0 0 12px\"><tr>");
    one.picture()
        .ifPresent(
            file ->
                html.append(
                        "<td width=\"96\" valign=\"top\" style=\"padding:0 14px 0 0\"><img src=\"")
                    .append(Escaped.html(addresses.picture(file, false)))
                    .append("\" width=\"96\" alt=\"\" style=\"display:block;width:96px\"></td>"));
    html.append("<td valign=\"top\" style=\"color:")
        .append(look.ink())
        .append("\"><p style=\"margin:0\">");
    titled(one.name(), one.address(), LinksIn.PRODUCT, look, addresses, html);
    one.price().ifPresent(price -> html.append(", ").append(Escaped.html(price)));
    html.append("</p>");
    if (!one.words().isBlank()) {
      html.append("<p style=\"margin:4px 0 0\">").append(Escaped.html(one.words())).append("</p>");
    }
    html.append("</td></tr></table>");
  }

  private static void entry(NewsEntry one, Look look, Addresses addresses, StringBuilder html) {
    html.append("<p style=\"margin:0\">");
    titled(one.title(), one.address(), LinksIn.NEWS, look, addresses, html);
    html.append("</p><p style=\"margin:4px 0 12px\">")
        .append(Escaped.html(one.words()))
        .append("</p>");
  }

  private static void titled(
      String words,
      String address,
      LinkName name,
      Look look,
      Addresses addresses,
      StringBuilder html) {
    html.append("<a class=\"link\" style=\"font-weight:700;color:").append(look.link()).append('"');
    if (!address.isEmpty()) {
      Target to = new Target.Web(address);
      html.append(" href=\"")
          .append(Escaped.html(addresses.link(to, Optional.of(name))))
          .append('"');
    }
    html.append('>').append(Escaped.html(words)).append("</a>");
  }
}
