package org.opentrellis.mail;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;

/** Texts as HTML, with places for what is each person's own. */
final class ProseHtml {
  private static final double[] HEADINGS = {1.6, 1.3, 1.08};

  private final HouseStyle style;
  private final List<Piece> pieces = new ArrayList<>();

  private ProseHtml(HouseStyle style) {
    this.style = style;
  }

  static List<Piece> of(Part.Prose prose, HouseStyle style) {
    ProseHtml html = new ProseHtml(style);
    int last = prose.blocks().size() - 1;
    for (int i = 0; i <= last; i++) {
      html.block(prose.blocks().get(i), i == last);
    }
    return html.pieces;
  }

  /** A line without links and marks. */
  static List<Piece> of(OneLine line) {
    List<Piece> pieces = new ArrayList<>();
    for (Inline one : line.words()) {
      switch (one) {
        case Inline.Words words -> pieces.add(new Piece.Fixed(Escaped.html(words.text())));
        case Inline.Field field -> pieces.add(new Piece.Value(field.field()));
        case Inline.Break end -> pieces.add(new Piece.Fixed(" "));
      }
    }
    return pieces;
  }

  private void block(Block block, boolean last) {
    String below = last ? "0" : "12px";
    switch (block) {
      case Block.Paragraph paragraph -> {
        fixed("<p style=\"margin:0 0 " + below + "\">");
        words(paragraph.words());
        fixed("</p>");
      }
      case Block.Heading heading -> {
        double size = Math.rint(style.size() * HEADINGS[heading.level() - 1]);
        String tag = "h" + heading.level();
        fixed(
            "<%s style=\"margin:0 0 %s;font-size:%.0fpx;line-height:1.25;font-weight:700\">"
                .formatted(tag, last ? "0" : "8px", size));
        words(heading.words());
        fixed("</" + tag + ">");
      }
      case Block.Items list -> {
        String tag = list.numbered() ? "ol" : "ul";
        fixed("<" + tag + " style=\"margin:0 0 " + below + ";padding-left:24px\">");
        for (Block.Item item : list.items()) {
          fixed("<li style=\"margin:0 0 4px\">");
          words(item.words());
          fixed("</li>");
        }
        fixed("</" + tag + ">");
      }
    }
  }

  private void words(List<Inline> words) {
    int at = 0;
    while (at < words.size()) {
      List<Inline> same = LinksIn.together(words, at);
      Optional<Link> link = same.get(0).isLink();
      link.ifPresent(one -> open(one, LinksIn.named(same, one)));
      same.forEach(this::marked);
      link.ifPresent(one -> fixed("</a>"));
      at += same.size();
    }
  }

  private void open(Link link, Optional<LinkName> name) {
    fixed(
        "<a class=\"link\" style=\"color:"
            + style.colours().link()
            + ";text-decoration:underline\"");
    link.to()
        .ifPresent(
            to -> {
              fixed(" href=\"");
              pieces.add(new Piece.Leads(to, name));
              fixed("\"");
            });
    fixed(">");
  }

  private void marked(Inline one) {
    switch (one) {
      case Inline.Words words -> {
        begin(words.bold(), words.italic());
        fixed(Escaped.html(words.text()));
        end(words.bold(), words.italic());
      }
      case Inline.Field field -> {
        begin(field.bold(), field.italic());
        pieces.add(new Piece.Value(field.field()));
        end(field.bold(), field.italic());
      }
      case Inline.Break end -> fixed("<br>");
    }
  }

  private void begin(boolean bold, boolean italic) {
    fixed((bold ? "<strong>" : "") + (italic ? "<em>" : ""));
  }

  private void end(boolean bold, boolean italic) {
    fixed((italic ? "</em>" : "") + (bold ? "</strong>" : ""));
  }

  private void fixed(String html) {
    if (!html.isEmpty()) {
      pieces.add(new Piece.Fixed(html));
    }
  }
}
