package org.opentrellis.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.journey.LinkName;

/** An email as plain text, made from the same parts as the HTML. */
public final class PlainText {
  private static final String RULE = "- - -";

  private final Filling filling;
  private final Regional regional;
  private final Recipient recipient;
  private final LinkAddresses addresses;
  private final List<String> paragraphs = new ArrayList<>();

  private PlainText(Regional regional, Recipient recipient, LinkAddresses addresses) {
    this.filling = new Filling(recipient, regional);
    this.regional = regional;
    this.recipient = recipient;
    this.addresses = addresses;
  }

  /**
   * @param addresses where each link leads
   */
  public static String of(
      Manuscript.Email email, Letterhead head, Recipient recipient, LinkAddresses addresses) {
    PlainText text = new PlainText(head.regional(), recipient, addresses);
    email
        .plain()
        .ifPresentOrElse(
            byHand -> text.part(byHand.part()),
            () ->
                Passages.chosen(email.parts(), Passages.holding(email, recipient))
                    .forEach(text::part));
    text.footer(head);
    return String.join("\n\n", text.paragraphs) + "\n";
  }

  private void part(Part part) {
    switch (part) {
      case Part.Prose prose -> prose.blocks().forEach(this::block);
      case Part.Picture picture -> say(linked(picture.words(), picture.link()));
      case Part.Button button ->
          say(
              linked(
                  filling.of(button.words()),
                  Optional.of(button.link()),
                  LinksIn.named(button.words().forNobody(), button.link())));
      case Part.Columns columns ->
          columns.columns().forEach(column -> column.parts().forEach(this::part));
      case Part.Passage passage -> throw new IllegalArgumentException("not chosen: " + passage);
      case Part.Rule rule -> say(RULE);
      case Part.Space space -> {}
      case Part.Products products ->
          recipient.products(products.which()).stream()
              .limit(products.most())
              .forEach(this::product);
      case Part.Voucher voucher -> say(VoucherWords.of(voucher, regional));
      case Part.News news -> recipient.news().stream().limit(news.most()).forEach(this::entry);
      case Part.Countdown countdown -> say(countdown.words());
      case Part.Film film -> say(linked(film.words(), Optional.of(film.link())));
      case Part.LinkRow row ->
          row.links().forEach(one -> say(linked(one.words(), Optional.of(one.link()))));
      case Part.OwnHtml html -> say(OwnHtmlReading.words(html.html(), addresses));
    }
  }

  private void say(String paragraph) {
    if (!paragraph.isBlank()) {
      paragraphs.add(paragraph.strip());
    }
  }

  private void block(Block block) {
    switch (block) {
      case Block.Paragraph paragraph -> say(line(paragraph.words()));
      case Block.Heading heading -> say(line(heading.words()));
      case Block.Items list -> {
        List<String> lines = new ArrayList<>();
        for (Block.Item item : list.items()) {
          String mark = list.numbered() ? (lines.size() + 1) + ". " : "- ";
          lines.add(mark + line(item.words()));
        }
        say(String.join("\n", lines));
      }
    }
  }

  /** The words, each link with its address behind it. */
  private String line(List<Inline> words) {
    StringBuilder text = new StringBuilder();
    int at = 0;
    while (at < words.size()) {
      List<Inline> same = LinksIn.together(words, at);
      text.append(filling.of(same));
      same.get(0)
          .isLink()
          .map(link -> address(link, LinksIn.named(same, link)))
          .filter(address -> !address.isEmpty())
          .ifPresent(address -> text.append(" (").append(address).append(")"));
      at += same.size();
    }
    return text.toString();
  }

  private String address(Link link, Optional<LinkName> name) {
    return link.to().map(to -> addresses.link(to, name)).orElse("");
  }

  /** Words that are a link as a whole, with the address behind them. */
  private String linked(String words, Optional<Link> link, Optional<LinkName> name) {
    String address = link.map(one -> address(one, name)).orElse("");
    return address.isEmpty() ? words : words.isBlank() ? address : words + ": " + address;
  }

  private String linked(String words, Optional<Link> link) {
    return linked(words, link, link.flatMap(one -> LinksIn.named(words, one)));
  }

  private void product(ProductShown one) {
    String price = one.price().map(amount -> ", " + amount).orElse("");
    String more = one.words().isBlank() ? "" : "\n" + one.words();
    say(linked(one.name() + price, toPage(one.address()), Optional.of(LinksIn.PRODUCT)) + more);
  }

  private void entry(NewsEntry one) {
    say(linked(one.title(), toPage(one.address()), Optional.of(LinksIn.NEWS)) + "\n" + one.words());
  }

  private static Optional<Link> toPage(String address) {
    return address.isEmpty() ? Optional.empty() : Optional.of(Link.to(new Target.Web(address)));
  }

  private void footer(Letterhead head) {
    say("--");
    say(head.style().why());
    say(head.postalAddress().lines().map(String::strip).collect(Collectors.joining("\n")));
    head.style().social().forEach(one -> say(linked(one.words(), Optional.of(one.link()))));
    say(linked(Letterhead.CHOICES, Optional.of(Link.to(new Target.Choices()))));
    say(linked(Letterhead.UNSUBSCRIBE, Optional.of(Link.to(new Target.Unsubscribe()))));
  }
}
