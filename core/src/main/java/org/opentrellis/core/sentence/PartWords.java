package org.opentrellis.core.sentence;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.message.Target;

/**
 * Says the parts of a message as they are typed: a line each, with every name in quotation marks.
 * What is inside of a part is said by its own lines.
 */
public final class PartWords {
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm", Locale.ROOT);

  private final Sentences who;

  /**
   * @param catalogue with the segments that passages ask about
   */
  public PartWords(Catalogue catalogue) {
    this.who = Sentences.ofPeople(catalogue).typed();
  }

  /** "button “Open the planner” to file “hive-planner.pdf”"; a text as its Markdown. */
  public String say(Part part) {
    return switch (part) {
      case Part.Prose prose -> markdown(prose.blocks());
      case Part.Picture picture ->
          "picture"
              + picture.file().map(file -> " " + Style.quoted(file.value())).orElse("")
              + (picture.words().isBlank() ? "" : " words " + Style.quoted(picture.words()))
              + (picture.percent() == 100 ? "" : " " + picture.percent() + "% wide")
              + picture.link().map(link -> leads(picture.words(), link)).orElse("");
      case Part.Button button ->
          "button "
              + Style.quoted(button.words().typed())
              + leads(button.words().forNobody(), button.link());
      case Part.Columns columns -> columns.columns().size() == 2 ? "two columns" : "three columns";
      case Part.Passage passage -> "passage if they " + who.condition(passage.who()).text();
      case Part.Rule rule -> "rule";
      case Part.Space space -> "space " + space.height() + " px";
      case Part.Products products ->
          "products " + shown(products.which()) + atMost(products.most());
      case Part.Voucher voucher ->
          "voucher "
              + Style.quoted(voucher.code())
              + (voucher.worth().isEmpty() ? "" : " " + Style.quoted(voucher.worth()))
              + voucher.until().map(day -> " until " + day).orElse("");
      case Part.News news -> "news" + atMost(news.most());
      case Part.Countdown countdown ->
          "countdown"
              + countdown.until().map(until -> " to " + MOMENT.format(until)).orElse("")
              + (countdown.words().isBlank() ? "" : " words " + Style.quoted(countdown.words()));
      case Part.Film film ->
          "film"
              + film.picture().map(file -> " " + Style.quoted(file.value())).orElse("")
              + (film.words().isBlank() ? "" : " words " + Style.quoted(film.words()))
              + leads(film.words(), film.link());
      case Part.LinkRow row ->
          "links "
              + row.links().stream()
                  .map(one -> Style.quoted(one.words()) + leads(one.words(), one.link()))
                  .collect(Collectors.joining(", "));
      case Part.OwnHtml html -> "html " + html.html();
    };
  }

  private static String atMost(int most) {
    return " at most " + most;
  }

  private static String shown(Shown which) {
    return switch (which) {
      case Shown.Chosen chosen ->
          chosen.products().stream()
              .map(product -> Style.quoted(product.value()))
              .collect(Collectors.joining(", "));
      case Shown.InCart cart -> "from the cart";
      case Shown.Bought bought -> "bought";
    };
  }

  /** " to file “hive-planner.pdf” counted as “Planner”"; nothing for what leads nowhere yet. */
  private static String leads(String words, Link link) {
    String to = link.to().map(target -> " to " + say(target)).orElse("");
    Optional<LinkName> usual = LinksIn.named(words, new Link(link.to(), Optional.empty()));
    return to
        + link.name()
            .filter(name -> !Optional.of(name).equals(usual))
            .map(name -> " counted as " + Style.quoted(name.value()))
            .orElse("");
  }

  /** Where a link leads, as it is typed. */
  public static String say(Target target) {
    return switch (target) {
      case Target.Web web -> web.address();
      case Target.KeptFile file -> "file " + Style.quoted(file.file().value());
      case Target.Cart cart -> "their cart";
      case Target.Choices choices -> "their choices";
      case Target.Unsubscribe unsubscribe -> "unsubscribe";
    };
  }

  /** Paragraphs, headings and lists as Markdown. */
  public static String markdown(List<Block> blocks) {
    return blocks.stream()
        .map(
            block ->
                switch (block) {
                  case Block.Paragraph paragraph -> marked(paragraph.words());
                  case Block.Heading heading ->
                      "#".repeat(heading.level()) + " " + marked(heading.words());
                  case Block.Items list -> items(list);
                })
        .collect(Collectors.joining("\n"));
  }

  private static String items(Block.Items list) {
    StringBuilder lines = new StringBuilder();
    for (int i = 0; i < list.items().size(); i++) {
      lines
          .append(i == 0 ? "" : "\n")
          .append(list.numbered() ? i + 1 + ". " : "- ")
          .append(marked(list.items().get(i).words()));
    }
    return lines.toString();
  }

  private static String marked(List<Inline> words) {
    StringBuilder text = new StringBuilder();
    for (int at = 0; at < words.size(); ) {
      List<Inline> same = LinksIn.together(words, at);
      String said = same.stream().map(PartWords::marked).collect(Collectors.joining());
      Optional<Link> link = same.get(0).isLink();
      text.append(
          link.map(
                  one -> "[%s](%s)".formatted(said, one.to().map(PartWords::say).orElse("nowhere")))
              .orElse(said));
      at += same.size();
    }
    return text.toString();
  }

  private static String marked(Inline one) {
    return switch (one) {
      case Inline.Words words -> marks(words.bold(), words.italic(), words.text());
      case Inline.Field field -> marks(field.bold(), field.italic(), field.field().typed());
      case Inline.Break end -> "\\\n";
    };
  }

  private static String marks(boolean bold, boolean italic, String text) {
    String mark = (bold ? "**" : "") + (italic ? "*" : "");
    return text.isBlank() ? text : mark + text + new StringBuilder(mark).reverse();
  }
}
