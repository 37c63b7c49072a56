package org.opentrellis.app.letters;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageContent;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.proofreading.AskedLink;
import org.opentrellis.core.proofreading.KnownFile;
import org.opentrellis.core.proofreading.MessageChecks;
import org.opentrellis.core.proofreading.MessageFinding;
import org.opentrellis.core.proofreading.Proofreading;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Looks through messages with all that is to be known around them. */
@Component
@Transactional(readOnly = true)
class Proofreader {
  private static final int LATELY = 5;
  private static final Duration SHORTLY = Duration.ofMinutes(10);

  private final MessageLibrary library;
  private final HouseStyles styles;
  private final Account account;
  private final KeptFiles files;
  private final RegisteredNames names;
  private final Catalogues catalogues;
  private final LongestValues longest;
  private final Clock clock;

  /** What is wrong with a saved message is asked again for each journey that sends it. */
  private final Cache<Saved, List<MessageFinding>> found =
      Caffeine.newBuilder().maximumSize(2000).expireAfterWrite(SHORTLY).build();

  private record Saved(Written written, Surroundings around) {}

  /** What is the same for all messages. */
  private record Surroundings(
      Letterhead head,
      List<String> senders,
      Map<FileName, KnownFile> files,
      Set<ProductName> products,
      Set<SegmentName> segments,
      LocalDate today) {}

  /**
   * What is known of a message that is open besides what stands in it.
   *
   * @param links that journeys ask about
   * @param bytes of its HTML
   * @param lately subjects of the last other emails
   */
  private record Asked(List<AskedLink> links, OptionalInt bytes, List<String> lately) {
    /** A saved message is looked at by itself. */
    static final Asked NOTHING = new Asked(List.of(), OptionalInt.empty(), List.of());
  }

  Proofreader(
      MessageLibrary library,
      HouseStyles styles,
      Account account,
      KeptFiles files,
      RegisteredNames names,
      Catalogues catalogues,
      LongestValues longest,
      Clock clock) {
    this.library = library;
    this.styles = styles;
    this.account = account;
    this.files = files;
    this.names = names;
    this.catalogues = catalogues;
    this.longest = longest;
    this.clock = clock;
  }

  /**
   * What is wrong with a message as it stands.
   *
   * @param asked what journeys ask about its links
   * @param bytes of its HTML, if that is known
   */
  List<MessageFinding> of(
      MessageId id, Manuscript manuscript, List<AskedLink> asked, OptionalInt bytes) {
    return look(id, manuscript, new Asked(asked, bytes, lately(id)), surroundings());
  }

  /**
   * What is wrong with some saved messages, each by itself; those that are not there are left out.
   */
  Map<Written, List<MessageFinding>> saved(Set<MessageId> ids) {
    Surroundings around = surroundings();
    return library.written(ids).stream()
        .collect(
            Collectors.toMap(
                written -> written,
                written ->
                    found.get(
                        new Saved(written, around),
                        one -> look(written.id(), written.manuscript(), Asked.NOTHING, around)),
                (one, other) -> one,
                LinkedHashMap::new));
  }

  private Surroundings surroundings() {
    Map<FileName, KnownFile> kept =
        files.all().stream()
            .collect(
                Collectors.toMap(
                    file -> new FileName(file.name()),
                    file -> new KnownFile(file.width() != null, file.bytes())));
    return new Surroundings(
        styles.letterhead(),
        account.writer().senders().stream().map(one -> one.address().value()).toList(),
        kept,
        names.products().stream()
            .map(ProductCard::name)
            .map(ProductName::new)
            .collect(Collectors.toSet()),
        catalogues.current().segments().stream().map(Segment::name).collect(Collectors.toSet()),
        LocalDate.now(clock));
  }

  private List<MessageFinding> look(
      MessageId id, Manuscript manuscript, Asked asked, Surroundings around) {
    String words =
        manuscript instanceof Manuscript.Text text
            ? account.texting().ended(longest.in(text.words()))
            : "";
    return MessageChecks.run(
        new Proofreading(
            id,
            manuscript,
            around.head(),
            around.senders(),
            around.files(),
            around.products(),
            around.segments(),
            asked.lately(),
            asked.links(),
            asked.bytes(),
            Optional.ofNullable(account.limits().segmentPrice()),
            account.texting(),
            words,
            around.today()));
  }

  /** The subjects of the last emails that were begun besides one. */
  private List<String> lately(MessageId id) {
    List<Message> others =
        library.all().stream()
            .filter(one -> !one.id().equals(id))
            .filter(one -> one.content() instanceof MessageContent.Email)
            .collect(Collectors.toList());
    Collections.reverse(others);
    return others.stream().limit(LATELY).map(Message::headline).toList();
  }
}
