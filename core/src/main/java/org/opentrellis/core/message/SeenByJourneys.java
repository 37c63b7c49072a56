package org.opentrellis.core.message;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageContent;
import org.opentrellis.core.journey.MessageId;

/** What journeys see of a message, and how one begins of which only that is known. */
public final class SeenByJourneys {
  private static final int LONGEST_SUBJECT = 200;
  private static final int LONGEST_TEXT = 1000;

  private SeenByJourneys() {}

  /** A message without a headline is known by its name. */
  public static Message of(MessageId id, String name, Manuscript manuscript) {
    MessageContent content =
        switch (manuscript) {
          case Manuscript.Email email ->
              new MessageContent.Email(headline(email.subject(), name, LONGEST_SUBJECT));
          case Manuscript.Text text ->
              new MessageContent.Text(headline(text.words(), name, LONGEST_TEXT));
        };
    return new Message(id, name, content, LinksIn.names(manuscript), givesSomethingOff(manuscript));
  }

  private static String headline(OneLine line, String name, int most) {
    String said = line.forNobody().strip();
    String headline = said.isEmpty() ? name : said;
    return headline.length() > most ? headline.substring(0, most - 1) + "\u2026" : headline;
  }

  private static boolean givesSomethingOff(Manuscript manuscript) {
    return switch (manuscript) {
      case Manuscript.Email email -> email.allParts().anyMatch(Part.Voucher.class::isInstance);
      case Manuscript.Text text -> text.voucher();
    };
  }

  /** A manuscript to go on with: a button for each link, which leads nowhere yet. */
  public static Manuscript begin(Message message) {
    Manuscript empty =
        switch (message.content()) {
          case MessageContent.Email email ->
              new Manuscript.Email(
                  OneLine.of(email.subject()),
                  OneLine.EMPTY,
                  Optional.empty(),
                  List.of(),
                  Optional.empty(),
                  StyleChange.NONE);
          case MessageContent.Text text ->
              new Manuscript.Text(OneLine.of(text.words()), false, List.of());
        };
    return take(empty, message);
  }

  /** The manuscript after what journeys see of it was changed: headline, links and voucher. */
  public static Manuscript take(Manuscript before, Message message) {
    Message seen = of(message.id(), message.name(), before);
    return switch (before) {
      case Manuscript.Email email -> email(email, seen, message);
      case Manuscript.Text text -> text(text, seen, message);
    };
  }

  private static Manuscript email(Manuscript.Email before, Message seen, Message message) {
    List<Part> parts =
        before.parts().stream()
            .map(part -> without(part, gone(seen, message), !message.voucher()))
            .filter(Objects::nonNull)
            .collect(Collectors.toCollection(ArrayList::new));
    FreshPartIds ids = FreshPartIds.of(before);
    more(seen, message)
        .forEach(
            link -> parts.add(new Part.Button(ids.next(), OneLine.of(link.value()), Link.NOWHERE)));
    if (message.voucher() && !seen.voucher()) {
      parts.add(new Part.Voucher(ids.next(), "", "", Optional.empty()));
    }
    Manuscript.Email after = before.with(parts);
    return message.headline().equals(seen.headline())
        ? after
        : after.withSubject(OneLine.of(message.headline()));
  }

  private static Manuscript text(Manuscript.Text before, Message seen, Message message) {
    Set<LinkName> gone = gone(seen, message);
    List<Part.RowLink> links =
        Stream.concat(
                before.links().stream().filter(one -> !gone.contains(new LinkName(one.words()))),
                more(seen, message).map(link -> new Part.RowLink(link.value(), Link.NOWHERE)))
            .toList();
    OneLine words =
        message.headline().equals(seen.headline())
            ? before.words()
            : OneLine.of(message.headline());
    return new Manuscript.Text(words, message.voucher(), links);
  }

  private static Set<LinkName> gone(Message seen, Message message) {
    Set<LinkName> gone = new HashSet<>(seen.links());
    message.links().forEach(gone::remove);
    return gone;
  }

  private static Stream<LinkName> more(Message seen, Message message) {
    return message.links().stream().filter(link -> !seen.links().contains(link));
  }

  /** A part without some links; null if nothing is left of it. */
  private static @Nullable Part without(Part part, Set<LinkName> gone, boolean noVouchers) {
    if (part instanceof Part.Voucher && noVouchers) {
      return null;
    }
    boolean meant = LinksIn.of(part).anyMatch(one -> one.name().filter(gone::contains).isPresent());
    return meant && part instanceof Part.Button ? null : part;
  }
}
