package org.opentrellis.app.journeys;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.check.CheckContext;
import org.opentrellis.core.check.Checks;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.FirstVersion;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.sentence.StateChange;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The journeys, as they are kept. */
@Service
@Transactional
public class Journeys {
  private static final ZoneId ACCOUNT_ZONE = ZoneId.of("Europe/Berlin");

  /** Journeys are planned here and do not run yet. */
  private static final long NOBODY_INSIDE = 0;

  private final JourneyMapper mapper;
  private final VersionMapper versions;
  private final Catalogues catalogues;
  private final Clock clock;

  Journeys(JourneyMapper mapper, VersionMapper versions, Catalogues catalogues, Clock clock) {
    this.mapper = mapper;
    this.versions = versions;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** All journeys that are not archived, oldest first. */
  public List<KeptJourney> all() {
    List<JourneyRow> rows = mapper.all();
    return kept(rows, catalogues.current()).stream().filter(kept -> !kept.archived()).toList();
  }

  /**
   * @param catalogue read after the rows: what they refer to may have been written just before them
   */
  private static List<KeptJourney> kept(List<JourneyRow> rows, Catalogue catalogue) {
    return rows.stream().map(row -> kept(row, catalogue)).toList();
  }

  /**
   * @throws NotFound if there is none
   */
  public KeptJourney find(long id) {
    return kept(row(id), catalogues.current());
  }

  List<JourneyView> views() {
    List<JourneyRow> rows = mapper.all();
    Catalogue catalogue = catalogues.current();
    List<KeptJourney> all = kept(rows, catalogue);
    return all.stream().map(kept -> view(kept, all, catalogue)).toList();
  }

  /** A journey with its sentences and findings. */
  public JourneyView view(long id) {
    List<JourneyRow> rows = mapper.all();
    Catalogue catalogue = catalogues.current();
    List<KeptJourney> all = kept(rows, catalogue);
    KeptJourney kept =
        all.stream()
            .filter(one -> one.id() == id)
            .findFirst()
            .orElseThrow(() -> NotFound.of("journey", id));
    return view(kept, all, catalogue);
  }

  /** Adds an empty draft that once-per-person readers enter; its people behave typically. */
  public JourneyView add(JourneyEdits.NewJourney given) {
    Journey journey = empty(given);
    try {
      return view(add(journey, TypicalBehaviour.in(ACCOUNT_ZONE), null));
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
    String document = Json.write(Documents.write(journey));
    OffsetDateTime now = OffsetDateTime.now(clock);
    NewJourneyRow row =
        new NewJourneyRow(
            journey.name(), document, now, Json.write(Documents.write(behaviour)), starter);
    mapper.insert(row);
    long id = Objects.requireNonNull(row.id);
    versions.insert(id, 1, document, now, null);
    return id;
  }

  /** Behaviour to begin with where nothing is known of the people. */
  public static Behaviour usual() {
    return TypicalBehaviour.in(ACCOUNT_ZONE);
  }

  /** A name that no journey has yet: the one that is wanted, or with a number behind. */
  public String freeName(String wanted) {
    return FreeName.of(wanted, mapper.names());
  }

  /**
   * Saves a journey over the version it was read at.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost with both sides if somebody else has saved since
   */
  JourneyView save(long id, JourneyEdits.JourneySave save) {
    JourneyRow row = row(id);
    Catalogue catalogue = catalogues.current();
    Journey kept = kept(row, catalogue).journey();
    // Opening and stopping are asked for as such: saving, and undoing, leave the state as it is.
    Journey journey =
        ProblemsFound.within("/journey", () -> Documents.readJourney(save.journey(), catalogue))
            .edit()
            .state(kept.state())
            .done();
    if (row.version() != save.version() || !write(id, save.version(), journey, save.by())) {
      throw lost(id, save.version(), journey, catalogue);
    }
    return view(id);
  }

  private SaveLost lost(long id, int readAt, Journey journey, Catalogue catalogue) {
    List<String> changedHere =
        versions.find(id, readAt).stream()
            .map(row -> Documents.readJourney(Json.tree(row.document()), catalogue))
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
   * Saves over a version; false if somebody else has saved since.
   *
   * @throws NameTaken if another journey is called so
   */
  boolean write(long id, int version, Journey journey, @Nullable String by) {
    String document = Json.write(Documents.write(journey));
    OffsetDateTime now = OffsetDateTime.now(clock);
    try {
      if (mapper.updateDocument(id, version, journey.name(), document, now) == 0) {
        return false;
      }
    } catch (DuplicateKeyException taken) {
      throw NameTaken.of("journey", journey.name(), "/journey/name");
    }
    String signed = by == null || by.isBlank() ? null : by.strip();
    versions.insert(
        id,
        version + 1,
        document,
        now,
        signed == null ? null : signed.substring(0, Math.min(60, signed.length())));
    return true;
  }

  /**
   * Saves what is assumed of a journey's people.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost if somebody else has saved since
   */
  JourneyView saveBehaviour(long id, JourneyEdits.BehaviourSave save) {
    row(id);
    Behaviour behaviour =
        ProblemsFound.within("/behaviour", () -> Documents.readBehaviour(save.behaviour()));
    String document = Json.write(Documents.write(behaviour));
    if (mapper.updateBehaviour(id, save.version(), document) == 0) {
      throw new SaveLost(
          "Somebody else has changed these assumptions since you opened them.",
          view(id),
          save.behaviour());
    }
    return view(id);
  }

  private JourneyView view(KeptJourney kept, List<KeptJourney> all, Catalogue catalogue) {
    List<Journey> others =
        all.stream()
            .filter(other -> other.id() != kept.id() && !other.archived())
            .map(KeptJourney::journey)
            .toList();
    CheckContext context =
        new CheckContext(kept.journey(), catalogue, kept.behaviour(), others, LocalDate.now(clock));
    return new JourneyView(
        kept.id(),
        kept.version(),
        kept.savedAt(),
        Documents.write(kept.journey()),
        Documents.write(Strands.expand(kept.journey(), catalogue)),
        RunSheet.of(kept.journey(), catalogue),
        Checks.run(context).stream().map(JourneyView.FindingView::of).toList(),
        Documents.write(kept.behaviour()),
        kept.behaviourVersion(),
        others.stream().map(Journey::name).distinct().sorted().toList(),
        StateChange.of(kept.journey(), catalogue, NOBODY_INSIDE),
        kept.archived(),
        kept.starter());
  }

  private JourneyRow row(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("journey", id));
  }

  private static KeptJourney kept(JourneyRow row, Catalogue catalogue) {
    return new KeptJourney(
        row.id(),
        row.version(),
        row.savedAt(),
        Documents.readJourney(FirstVersion.journey(Json.tree(row.document())), catalogue),
        Documents.readBehaviour(FirstVersion.behaviour(Json.tree(row.behaviour()))),
        row.behaviourVersion(),
        row.archived(),
        row.starter());
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
