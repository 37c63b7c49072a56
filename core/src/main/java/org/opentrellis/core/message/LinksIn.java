package org.opentrellis.core.message;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.PartId;

/** Finds the links of a message, in the order of reading. */
public final class LinksIn {
  /** What clicks on what the shop or the news bring are called. */
  public static final LinkName PRODUCT = new LinkName("a product");

  public static final LinkName NEWS = new LinkName("a piece of news");

  private LinksIn() {}

  /** Every link, also those that lead nowhere yet. */
  public static List<FoundLink> of(Manuscript manuscript) {
    return switch (manuscript) {
      case Manuscript.Email email -> email.written().flatMap(LinksIn::of).toList();
      case Manuscript.Text text ->
          text.links().stream()
              .map(one -> FoundLink.of(one.words(), one.link(), Optional.empty()))
              .toList();
    };
  }

  /** The names that conditions can ask about, each once. */
  public static List<LinkName> names(Manuscript manuscript) {
    LinkedHashSet<LinkName> names = new LinkedHashSet<>();
    of(manuscript).stream()
        .filter(one -> one.link().counts())
        .forEach(one -> one.name().ifPresent(names::add));
    return List.copyOf(names);
  }

  /** What a link with some words is called. */
  public static Optional<LinkName> named(String words, Link link) {
    return FoundLink.of(words, link, Optional.empty()).name();
  }

  /** What a link around some words is called. */
  public static Optional<LinkName> named(List<Inline> words, Link link) {
    return named(new OneLine(plain(words)).forNobody(), link);
  }

  /** The links right in a part, without those of the parts inside of it. */
  static Stream<FoundLink> of(Part part) {
    Optional<PartId> id = Optional.of(part.id());
    return switch (part) {
      case Part.Prose prose -> prose.blocks().stream().flatMap(one -> of(one, id));
      case Part.Picture picture ->
          picture.link().stream().map(link -> FoundLink.of(picture.words(), link, id));
      case Part.Button button ->
          Stream.of(FoundLink.of(button.words().forNobody(), button.link(), id));
      case Part.Film film -> Stream.of(FoundLink.of(film.words(), film.link(), id));
      case Part.LinkRow row ->
          row.links().stream().map(one -> FoundLink.of(one.words(), one.link(), id));
      case Part.OwnHtml html ->
          OwnHtmlReading.links(html.html()).stream()
              .map(one -> FoundLink.of(one.words(), one.link(), id));
      case Part.Columns columns -> Stream.empty();
      case Part.Passage passage -> Stream.empty();
      // What the shop and the news bring is not there when the message is written.
      case Part.Products products -> Stream.empty();
      case Part.News news -> Stream.empty();
      case Part.Rule rule -> Stream.empty();
      case Part.Space space -> Stream.empty();
      case Part.Voucher voucher -> Stream.empty();
      case Part.Countdown countdown -> Stream.empty();
    };
  }

  private static Stream<FoundLink> of(Block block, Optional<PartId> id) {
    return block.lines().flatMap(words -> of(words, id).stream());
  }

  private static List<FoundLink> of(List<Inline> words, Optional<PartId> id) {
    List<FoundLink> found = new ArrayList<>();
    int at = 0;
    while (at < words.size()) {
      List<Inline> same = together(words, at);
      same.get(0).isLink().ifPresent(link -> found.add(new FoundLink(named(same, link), link, id)));
      at += same.size();
    }
    return found;
  }

  /** Words that follow each other with the same link, or without one: they are one. */
  public static List<Inline> together(List<Inline> words, int from) {
    Optional<Link> link = words.get(from).isLink();
    int end = from + 1;
    while (end < words.size() && words.get(end).isLink().equals(link)) {
      end++;
    }
    return words.subList(from, end);
  }

  private static List<Inline> plain(List<Inline> words) {
    return words.stream()
        .<Inline>map(
            one ->
                switch (one) {
                  case Inline.Words some -> Inline.Words.plain(some.text());
                  case Inline.Field field -> Inline.Field.plain(field.field());
                  case Inline.Break end -> Inline.Words.plain(" ");
                })
        .toList();
  }
}
