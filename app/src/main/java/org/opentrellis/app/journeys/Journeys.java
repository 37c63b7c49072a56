package org.opentrellis.app.journeys;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The journeys, as they are kept. */
@Service
@Transactional
public class Journeys {
  private final Account account;
  private final JourneyMapper mapper;
  private final VersionMapper versions;
  private final Cards cards;
  private final JourneyIndex index;
  private final Catalogues catalogues;
  private final Revisions revisions;
  private final Running running;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Journeys(
      Account account,
      JourneyMapper mapper,
      VersionMapper versions,
      Cards cards,
      JourneyIndex index,
      Catalogues catalogues,
      Revisions revisions,
      Running running,
      ApplicationEventPublisher events,
      Clock clock) {
    this.account = account;
    this.mapper = mapper;
    this.versions = versions;
    this.cards = cards;
    this.index = index;
    this.catalogues = catalogues;
    this.revisions = revisions;
    this.running = running;
    this.events = events;
    this.clock = clock;
  }

  /** Whether there are none, not even archived ones. */
  public boolean none() {
    return mapper.names().isEmpty();
  }

  /**
   * @throws NotFound if there is none
   */
  public KeptJourney find(long id) {
    return KeptJourney.of(mapper.find(id), id, catalogues.current());
  }

  /** A journey's name beside its number. */
  public record Named(long id, String name) {}

  /** The names of all journeys that are not archived, in order of the alphabet. */
  public List<Named> names() {
    return named(JourneyKind.JOURNEY);
  }

  /** The same of everything that runs as a journey does. */
  public List<Named> allNames() {
    return named(JourneyKind.values());
  }

  /** The same of one kind. */
  public List<Named> namesOf(JourneyKind kind) {
    return named(kind);
  }

  private List<Named> named(JourneyKind... kinds) {
    return index.current().stream()
        .filter(one -> List.of(kinds).contains(one.kind()))
        .map(one -> new Named(one.id(), one.name()))
        .sorted(Comparator.comparing(Named::name, String.CASE_INSENSITIVE_ORDER))
        .toList();
  }

  /** The names that all journeys use, of tags, fields and the like. */
  public KnownNames namesInUse() {
    return index.names();
  }

  /** The names of other journeys that use a name, also through a strand, such as a message's. */
  public List<String> othersUsing(Name name, long but) {
    return using(name).stream().filter(one -> one.id() != but).map(Named::name).toList();
  }

  /** The journeys that use a name, also through a strand. */
  public List<Named> using(Name name) {
    return using(name, JourneyKind.JOURNEY);
  }

  /** The same of one kind. */
  public List<Named> using(Name name, JourneyKind kind) {
    List<Long> using = index.using(catalogues.current().usersOf(name));
    return namesOf(kind).stream().filter(one -> using.contains(one.id())).toList();
  }

  /** A journey with its sentences and findings. */
  public JourneyView view(long id) {
    return JourneyView.of(cards.look(id), running);
  }

  /**
   * What is wrong with the plan of a journey as it is saved, in sentences; what is wrong with its
   * messages is not told.
   */
  public List<String> errorsOfPlan(long id) {
    return view(id).findings().stream()
        .filter(finding -> finding.severity() == Severity.ERROR)
        .filter(finding -> !finding.code().startsWith(MessageFaults.CODE))
        .map(finding -> finding.sentence())
        .toList();
  }

  /** Adds an empty draft that once-per-person readers enter; its people behave typically. */
  public JourneyView add(JourneyEdits.NewJourney given) {
    Journey journey = empty(given);
    try {
      return view(add(journey, usual(), null));
    } catch (DuplicateKeyException taken) {
      throw NameTaken.of("journey", journey.name(), "/name");
    }
  }

  private static Journey empty(JourneyEdits.NewJourney given) {
    ObjectNode document = (ObjectNode) Documents.write(Journey.empty("New", Purpose.OTHER));
    document.put("name", given.name());
    document.put("purpose", given.purpose().name());
    return Documents.readJourney(document, Catalogue.EMPTY);
  }

  /**
   * Adds a journey with what is assumed of its people.
   *
   * @param starter the starter that it begins from, if it does
   * @return its id
   * @throws DuplicateKeyException if its name is taken
   */
  public long add(Journey journey, Behaviour behaviour, @Nullable String starter) {
    return add(JourneyKind.JOURNEY, journey, behaviour, starter);
  }

  /**
   * Adds what runs as a journey does, and is written otherwise.
   *
   * @return its id
   * @throws DuplicateKeyException if its name is taken
   */
  public long add(JourneyKind kind, Journey journey, Behaviour behaviour) {
    return add(kind, journey, behaviour, null);
  }

  private long add(
      JourneyKind kind, Journey journey, Behaviour behaviour, @Nullable String starter) {
    revisions.hold();
    String document = Json.write(Documents.write(journey));
    OffsetDateTime now = OffsetDateTime.now(clock);
    NewJourneyRow row =
        new NewJourneyRow(
            kind, journey.name(), document, now, Json.write(Documents.write(behaviour)), starter);
    mapper.insert(row);
    long id = Objects.requireNonNull(row.id);
    versions.insert(id, 1, document, now, null);
    cards.make(id);
    return id;
  }

  /** Behaviour to begin with where nothing is known of the people. */
  public Behaviour usual() {
    return TypicalBehaviour.in(account.zone());
  }

  /** A name that no journey has yet: the one that is wanted, or with a number behind. */
  public String freeName(String wanted) {
    return FreeName.of(wanted, mapper.names());
  }

  /** A journey that has just been saved, as it is kept and as it is shown. */
  record Saved(KeptJourney kept, JourneyView view) {}

  /**
   * Saves a journey over the version it was read at.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost with both sides if somebody else has saved since
   */
  Saved save(long id, JourneyEdits.JourneySave save) {
    revisions.hold();
    Catalogue catalogue = catalogues.current();
    KeptJourney kept = find(id);
    // Opening and stopping are asked for as such: saving, and undoing, leave the state as it is.
    Journey given =
        ProblemsFound.within("/journey", () -> Documents.readJourney(save.journey(), catalogue))
            .edit()
            .state(kept.journey().state())
            .done();
    Journey journey = Purpose.following(kept.journey(), given);
    if (kept.version() != save.version()) {
      throw lost(id, save.version(), journey, catalogue);
    }
    events.publishEvent(new JourneyGiven(journey, kept.behaviour()));
    Look look =
        write(kept, journey, save.by())
            .orElseThrow(() -> lost(id, save.version(), journey, catalogue));
    return new Saved(look.kept(), JourneyView.of(look, running));
  }

  /**
   * Keeps what is written otherwise as the journey that it has become; its state stays.
   *
   * @throws NameTaken if another is called so
   */
  public void become(long id, Journey journey) {
    revisions.hold();
    KeptJourney kept = find(id);
    Journey become = journey.edit().state(kept.journey().state()).done();
    if (!become.equals(kept.journey())) {
      write(kept, become, null)
          .orElseThrow(() -> new IllegalStateException("saved while everything is held"));
    }
  }

  /**
   * Keeps another state of a journey as a version with a name; the journey itself stays as it is.
   *
   * @return the version's number
   */
  public int keepAside(long id, Journey other, String name) {
    revisions.hold();
    KeptJourney kept = find(id);
    Journey aside = other.edit().name(kept.journey().name()).state(kept.journey().state()).done();
    KeptJourney between = write(kept, aside, null).orElseThrow().kept();
    versions.rename(id, between.version(), name);
    write(between, kept.journey(), null).orElseThrow();
    return between.version();
  }

  /**
   * What is not written as a journey is not changed as one either.
   *
   * @throws Refusal if it is something else
   */
  void requireJourney(long id) {
    JourneyKind kind = mapper.kindOf(id).orElseThrow(() -> NotFound.of("journey", id));
    if (kind != JourneyKind.JOURNEY) {
      throw new Refusal(
          HttpStatus.CONFLICT,
          "no-journey",
          "This is %s: change it where it is written.".formatted(kind.words()),
          null);
    }
  }

  private SaveLost lost(long id, int readAt, Journey journey, Catalogue catalogue) {
    List<String> changedHere =
        versions.find(id, readAt).stream()
            .map(row -> Documents.readKeptJourney(row.document(), catalogue))
            .flatMap(base -> JourneyDifference.between(base, journey, catalogue).stream())
            .filter(line -> line.kind() != DifferenceLine.Kind.SAME)
            .map(DifferenceLine::row)
            .toList();
    return new SaveLost(
        "Somebody else has saved this journey since you opened it. Both sides are kept: choose.",
        view(id),
        new JourneyEdits.LostSave(
            Documents.write(journey),
            JourneyDifference.between(find(id).journey(), journey, catalogue),
            changedHere));
  }

  /**
   * Saves over a version; its transaction holds the account.
   *
   * @return the journey afterwards; nothing if somebody else has saved since
   * @throws NameTaken if another journey is called so
   */
  Optional<Look> write(KeptJourney kept, Journey journey, @Nullable String by) {
    long id = kept.id();
    String document = Json.write(Documents.write(journey));
    OffsetDateTime now = OffsetDateTime.now(clock).truncatedTo(KeptJourney.SAVED_TO);
    try {
      if (mapper.updateDocument(id, kept.version(), journey.name(), document, now) == 0) {
        return Optional.empty();
      }
    } catch (DuplicateKeyException taken) {
      throw NameTaken.of("journey", journey.name(), "/journey/name");
    }
    String signed = by == null || by.isBlank() ? null : by.strip();
    versions.insert(
        id,
        kept.version() + 1,
        document,
        now,
        signed == null ? null : signed.substring(0, Math.min(60, signed.length())));
    JourneyName before = kept.journey().journeyName();
    if (before.equals(journey.journeyName())) {
      return Optional.of(cards.make(kept.saved(journey, now)));
    }
    // Whoever names it follows, perhaps itself.
    events.publishEvent(NameChanged.of(before, journey.journeyName()));
    return Optional.of(cards.make(id));
  }

  /**
   * Saves what is assumed of a journey's people.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost if somebody else has saved since
   */
  JourneyView saveBehaviour(long id, JourneyEdits.BehaviourSave save) {
    revisions.hold();
    find(id);
    Behaviour behaviour =
        ProblemsFound.within("/behaviour", () -> Documents.readBehaviour(save.behaviour()));
    String document = Json.write(Documents.write(behaviour));
    if (mapper.updateBehaviour(id, save.version(), document) == 0) {
      throw new SaveLost(
          "Somebody else has changed these assumptions since you opened them.",
          view(id),
          save.behaviour());
    }
    return JourneyView.of(cards.make(id), running);
  }

  /**
   * Reads a journey that is part of a request.
   *
   * @throws ProblemsFound if something in it is wrong, placed in the whole request
   */
  public Journey readIn(String place, JsonNode document) {
    return ProblemsFound.within(place, () -> Documents.readJourney(document, catalogues.current()));
  }
}
