package org.opentrellis.app.letters;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongPredicate;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.app.people.KnownPerson;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.ProductShown;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Component;

/** Makes those to whom messages are shown or sent of what is known of them. */
@Component
class Recipients {
  private static final Duration SHORTLY = Duration.ofSeconds(5);
  private static final int SOME = 2;

  /** Until a site has news, so that one sees where they will stand. */
  static final List<NewsEntry> SAMPLE_NEWS =
      List.of(
          new NewsEntry("A piece of news", "The first lines of it stand here.", ""),
          new NewsEntry("Another one", "As many as are new, up to the number that you set.", ""));

  private final KnownPeople people;
  private final RegisteredNames names;
  private final Clock clock;

  /** Whether something holds for somebody is asked again with each key that is typed. */
  private final Cache<Asked, Boolean> answers =
      Caffeine.newBuilder().maximumSize(1000).expireAfterWrite(SHORTLY).build();

  private record Asked(Condition who, long person) {}

  Recipients(KnownPeople people, RegisteredNames names, Clock clock) {
    this.people = people;
    this.names = names;
    this.clock = clock;
  }

  /** What is around some people just now. */
  Around around(AccountWriter writer, List<Long> people) {
    Map<String, ProductCard> cards = new HashMap<>();
    names.products().forEach(card -> cards.put(card.name(), card));
    return new Around(writer, cards, this.people.those(people));
  }

  /** Somebody of the account, as they are now. */
  Whoever known(long id, AccountWriter writer, Optional<Sender> sender) {
    return around(writer, List.of(id)).known(id, sender, SAMPLE_NEWS);
  }

  /** Likewise, for whoever looks on while they type: passages are those of some seconds ago. */
  Whoever shown(long id, AccountWriter writer, Optional<Sender> sender) {
    return around(writer, List.of(id))
        .known(
            id,
            sender,
            SAMPLE_NEWS,
            who -> answers.get(new Asked(who, id), asked -> people.meant(asked.who()).test(id)));
  }

  /** What is the same for everybody who is written to, and who they are. */
  final class Around {
    private final AccountWriter writer;
    private final Map<String, ProductCard> cards;
    private final Map<Long, KnownPerson> those;
    private final Map<Condition, LongPredicate> meant = new HashMap<>();

    private Around(
        AccountWriter writer, Map<String, ProductCard> cards, Map<Long, KnownPerson> those) {
      this.writer = writer;
      this.cards = cards;
      this.those = those;
    }

    /**
     * One of them, as they are now.
     *
     * @throws NotFound if there is nobody of that number
     */
    Whoever known(long id, Optional<Sender> sender, List<NewsEntry> news) {
      return known(id, sender, news, who -> meant.computeIfAbsent(who, people::meant).test(id));
    }

    private Whoever known(
        long id, Optional<Sender> sender, List<NewsEntry> news, Predicate<Condition> holding) {
      KnownPerson person = those.get(id);
      if (person == null) {
        throw NotFound.of("person", id);
      }
      return new Whoever(
          person.called(),
          person.address(),
          Optional.ofNullable(person.firstName()),
          Optional.ofNullable(person.lastName()),
          person.fields(),
          total(person.cart()),
          total(person.lastOrder()),
          LocalDate.now(clock.withZone(person.zone())),
          writer,
          sender,
          holding,
          which -> shown(which, person, cards, writer.regional()),
          news);
    }
  }

  /**
   * Somebody who is not there; the passages that are for them are told.
   *
   * @throws ProblemsFound if a field cannot hold what is typed
   */
  Whoever madeUp(
      MadeUpPerson made, Manuscript.Email email, AccountWriter writer, Optional<Sender> sender) {
    Set<Condition> holding = new HashSet<>();
    email
        .allParts()
        .forEach(
            part -> {
              if (part instanceof Part.Passage passage
                  && made.holding().contains(passage.id().value())) {
                holding.add(passage.who());
              }
            });
    boolean nobody = made.equals(MadeUpPerson.NOBODY);
    return madeUp(
        new ReadAlone.Reader(
            made.firstName(),
            made.lastName(),
            fields(made.fields()),
            LocalDate.now(clock.withZone(writer.regional().zone())),
            holding::contains),
        nobody ? 0 : SOME,
        writer,
        sender,
        SAMPLE_NEWS);
  }

  /** Somebody who is nobody of the account, with two of the shop's products in their cart. */
  Whoever alone(
      ReadAlone.Reader reader,
      AccountWriter writer,
      Optional<Sender> sender,
      List<NewsEntry> news) {
    return madeUp(reader, SOME, writer, sender, news);
  }

  private Whoever madeUp(
      ReadAlone.Reader reader,
      int products,
      AccountWriter writer,
      Optional<Sender> sender,
      List<NewsEntry> news) {
    List<ProductCard> cards = names.products();
    List<ProductCard> some = cards.stream().limit(products).toList();
    Optional<Double> total =
        some.isEmpty()
            ? Optional.empty()
            : Optional.of(some.stream().mapToLong(ProductCard::cents).sum() / 100.0);
    return new Whoever(
        (reader.firstName() + " " + reader.lastName()).strip(),
        "somebody@example.com",
        Optional.of(reader.firstName()),
        Optional.of(reader.lastName()),
        reader.fields(),
        total,
        total,
        reader.today(),
        writer,
        sender,
        reader.holding(),
        which ->
            which instanceof Shown.Chosen chosen
                ? chosen(chosen, cards, writer.regional())
                : some.stream().map(card -> shown(card, writer.regional())).toList(),
        news);
  }

  private Map<FieldName, Operand> fields(Map<String, String> typed) {
    Map<FieldName, Operand> fields = new HashMap<>();
    typed.forEach(
        (name, value) -> {
          try {
            names
                .read(new FieldName(name), value)
                .ifPresent(it -> fields.put(new FieldName(name), it));
          } catch (Refused refused) {
            throw ProblemsFound.refused("/made/fields", refused);
          }
        });
    return fields;
  }

  private static Optional<Double> total(List<KnownPerson.KnownLine> lines) {
    return lines.isEmpty()
        ? Optional.empty()
        : Optional.of(lines.stream().mapToLong(KnownPerson.KnownLine::cents).sum() / 100.0);
  }

  private static List<ProductShown> shown(
      Shown which, KnownPerson person, Map<String, ProductCard> cards, Regional regional) {
    return switch (which) {
      case Shown.Chosen chosen -> chosen(chosen, List.copyOf(cards.values()), regional);
      case Shown.InCart cart -> lines(person.cart(), cards, regional);
      case Shown.Bought bought -> lines(person.lastOrder(), cards, regional);
    };
  }

  private static List<ProductShown> lines(
      List<KnownPerson.KnownLine> lines, Map<String, ProductCard> cards, Regional regional) {
    return lines.stream()
        .flatMap(
            line ->
                line.product().stream()
                    .map(
                        name ->
                            new ProductCard(
                                name.value(), about(cards.get(name.value())), line.cents())))
        .map(card -> shown(card, regional))
        .toList();
  }

  private static @Nullable String about(@Nullable ProductCard card) {
    return card == null ? null : card.about();
  }

  /** In the order in which they were chosen; what the shop does not sell any more is left out. */
  private static List<ProductShown> chosen(
      Shown.Chosen chosen, List<ProductCard> cards, Regional regional) {
    return chosen.products().stream()
        .map(ProductName::value)
        .flatMap(name -> cards.stream().filter(card -> card.name().equals(name)))
        .map(card -> shown(card, regional))
        .toList();
  }

  private static ProductShown shown(ProductCard card, Regional regional) {
    return new ProductShown(
        card.name(),
        card.about() == null ? "" : card.about(),
        Optional.ofNullable(card.priceCents())
            .map(cents -> regional.amount(BigDecimal.valueOf(cents, 2))),
        Optional.empty(),
        "");
  }
}
