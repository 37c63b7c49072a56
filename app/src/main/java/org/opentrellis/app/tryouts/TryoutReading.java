package org.opentrellis.app.tryouts;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.letters.ReadAlone;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Tryout;
import org.opentrellis.core.machine.Onlooker;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.VisitState;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.story.LogWords;
import org.springframework.stereotype.Component;

/** Tells of a private run: in sentences, and with the messages as they reached whoever tries it. */
@Component
class TryoutReading {
  private final RegisteredNames names;
  private final Catalogues catalogues;
  private final ReadAlone letters;

  TryoutReading(RegisteredNames names, Catalogues catalogues, ReadAlone letters) {
    this.names = names;
    this.catalogues = catalogues;
    this.letters = letters;
  }

  /** A private run that was lived, with what it was lived in. */
  record LivedTryout(
      Tryout tryout,
      Journey plan,
      Catalogue catalogue,
      TryoutOrders.TryoutWho who,
      Function<ZoneId, ZoneClock> clocks) {}

  /** A message that was sent, and what it was. */
  record SentOne(MessageRef ref, Deed deed) {}

  static Stream<SentOne> sent(Tryout tryout) {
    return tryout.lines().stream()
        .flatMap(line -> line instanceof Tryout.Done done ? Stream.of(done.what()) : Stream.empty())
        .filter(deed -> deed.kind() == Deed.Kind.SENT)
        .map(
            deed ->
                new SentOne(
                    new MessageRef(deed.journey(), deed.visit(), deed.step().orElseThrow()), deed));
  }

  TryoutView nobody(KeptJourney kept) {
    return view(kept, null);
  }

  private TryoutView view(KeptJourney kept, TryoutView.@Nullable TryoutRun run) {
    return new TryoutView(
        kept.journey().name(),
        new Sentences(kept.journey(), catalogues.current())
            .triggers().stream().map(Phrase::text).toList(),
        names.products().stream().map(ProductCard::name).toList(),
        run);
  }

  TryoutView view(KeptJourney kept, LivedTryout lived, TryoutRow row) {
    Tryout tryout = lived.tryout();
    LogWords words = new LogWords(lived.plan(), lived.catalogue());
    Optional<VisitState> visit =
        tryout.life().standing().visits().stream()
            .filter(one -> one.step().isPresent())
            .findFirst();
    Journey whole = Strands.expand(lived.plan(), lived.catalogue());
    Optional<Step> stands =
        visit
            .flatMap(VisitState::step)
            .flatMap(id -> whole.steps().filter(one -> one.id().equals(id)).findFirst());
    Sentences sentences = new Sentences(whole, lived.catalogue());
    return view(
        kept,
        new TryoutView.TryoutRun(
            lived.who(),
            kept.version() != row.version(),
            row.begunAt(),
            tryout.now(),
            tryout.nextAt() == Person.NEVER ? null : tryout.nextAt(),
            TryoutActs.read(row.acts()).size(),
            tryout.isOver(),
            stands.map(step -> step.id().value()).orElse(null),
            stands.map(step -> sentences.step(step).text()).orElse(null),
            visit.map(VisitState::waiting).orElse(false),
            tryout.life().standing().labels().stream().map(Name::value).sorted().toList(),
            route(tryout),
            tryout.lines().stream().map(line -> line(line, words)).toList().reversed(),
            mails(lived, whole)));
  }

  private static List<String> route(Tryout tryout) {
    Set<String> route = new LinkedHashSet<>();
    for (Tryout.Line line : tryout.lines()) {
      if (line instanceof Tryout.Done done) {
        done.what().step().ifPresent(step -> route.add(step.value()));
      }
    }
    return List.copyOf(route);
  }

  private static TryoutView.TryoutLine line(Tryout.Line line, LogWords words) {
    return switch (line) {
      case Tryout.Done done ->
          new TryoutView.TryoutLine(
              line.at(),
              done.what().step().map(step -> step.value()).orElse(null),
              words.say(done.what()));
      case Tryout.Told told when told.what() instanceof Happening.OfMessage of ->
          new TryoutView.TryoutLine(line.at(), of.message().step().value(), words.say(of));
      case Tryout.Told told ->
          new TryoutView.TryoutLine(line.at(), null, LogWords.sayOf(told.what(), "this journey"));
    };
  }

  private List<TryoutView.TryoutMail> mails(LivedTryout lived, Journey whole) {
    Set<MessageRef> opened = new HashSet<>();
    Map<MessageRef, List<String>> clicked = new HashMap<>();
    for (Tryout.Line line : lived.tryout().lines()) {
      if (line instanceof Tryout.Told told && told.what() instanceof Happening.OfMessage of) {
        opened.add(of.message());
        if (of instanceof Happening.Clicked click) {
          click
              .link()
              .ifPresent(
                  link ->
                      clicked
                          .computeIfAbsent(of.message(), none -> new ArrayList<>())
                          .add(link.value()));
        }
      }
    }
    List<SentOne> sent = sent(lived.tryout()).toList();
    ReadAlone.Reader reader = reader(lived);
    List<TryoutView.TryoutMail> mails = new ArrayList<>();
    for (int number = 0; number < sent.size(); number++) {
      SentOne one = sent.get(number);
      mails.add(
          mail(
              number,
              one,
              step(whole, one),
              lived.catalogue(),
              reader,
              opened.contains(one.ref()),
              clicked.getOrDefault(one.ref(), List.of())));
    }
    return mails.reversed();
  }

  private static Step.Send step(Journey whole, SentOne one) {
    return whole
        .steps()
        .filter(step -> step.id().equals(one.ref().step()))
        .map(Step.Send.class::cast)
        .findFirst()
        .orElseThrow();
  }

  private TryoutView.TryoutMail mail(
      int number,
      SentOne one,
      Step.Send step,
      Catalogue catalogue,
      ReadAlone.Reader reader,
      boolean opened,
      List<String> clicked) {
    Optional<Variant> variant =
        step.versions().stream()
            .filter(it -> one.deed().detail().equals(Optional.of(it.id().value())))
            .findFirst();
    MessageId id = variant.map(Variant::message).orElseGet(step::message);
    List<String> links =
        catalogue.message(id).stream()
            .flatMap(it -> it.links().stream().map(LinkName::value))
            .toList();
    String name = catalogue.message(id).map(it -> it.name()).orElse(id.value());
    try {
      ReadAlone.ReadMail read = letters.read(id, instead(step, variant), reader);
      return new TryoutView.TryoutMail(
          number,
          one.deed().at(),
          step.id().value(),
          read.name(),
          read.text(),
          read.from(),
          read.subject(),
          read.preview(),
          read.html(),
          read.plain(),
          links,
          opened,
          clicked,
          null);
    } catch (Refused refused) {
      return new TryoutView.TryoutMail(
          number,
          one.deed().at(),
          step.id().value(),
          name,
          step instanceof Step.SendText,
          "",
          name,
          "",
          "",
          "",
          links,
          opened,
          clicked,
          refused.sentence());
    }
  }

  private static ReadAlone.Instead instead(Step.Send step, Optional<Variant> variant) {
    return step instanceof Step.SendEmail email
        ? new ReadAlone.Instead(
            variant.flatMap(Variant::subject).or(email::subject), email.preview(), email.sender())
        : ReadAlone.Instead.NOTHING;
  }

  private ReadAlone.Reader reader(LivedTryout lived) {
    PersonState standing = lived.tryout().life().standing();
    long now = lived.tryout().now();
    return new ReadAlone.Reader(
        lived.who().firstName(),
        lived.who().lastName(),
        standing.fields(),
        LocalDate.ofInstant(Instant.ofEpochSecond(now), standing.zone()),
        who ->
            new Onlooker(who, lived.catalogue(), names.sold())
                .holds(standing, now, lived.clocks()));
  }
}
