package org.opentrellis.app.journeys;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
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
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The journeys, as they are kept. */
@Service
@Transactional
public class Journeys {
  private static final ZoneId ACCOUNT_ZONE = ZoneId.of("Europe/Berlin");

  private final JourneyMapper mapper;
  private final Catalogues catalogues;
  private final Clock clock;

  Journeys(JourneyMapper mapper, Catalogues catalogues, Clock clock) {
    this.mapper = mapper;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** All journeys, oldest first. */
  public List<KeptJourney> all() {
    Catalogue catalogue = catalogues.current();
    return mapper.all().stream().map(row -> kept(row, catalogue)).toList();
  }

  /**
   * @throws NotFound if there is none
   */
  public KeptJourney find(long id) {
    return kept(row(id), catalogues.current());
  }

  List<JourneyView> views() {
    List<KeptJourney> all = all();
    Catalogue catalogue = catalogues.current();
    return all.stream().map(kept -> view(kept, all, catalogue)).toList();
  }

  /** A journey with its sentences and findings. */
  public JourneyView view(long id) {
    return view(find(id), all(), catalogues.current());
  }

  /** Adds an empty draft that once-per-person readers enter; its people behave typically. */
  public JourneyView add(JourneyEdits.NewJourney given) {
    return view(add(empty(given), TypicalBehaviour.in(ACCOUNT_ZONE)));
  }

  private static Journey empty(JourneyEdits.NewJourney given) {
    ObjectNode document = (ObjectNode) Documents.write(Journey.empty("New", Purpose.OTHER));
    document.put("name", given.name());
    document.put("purpose", given.purpose() == null ? null : given.purpose().name());
    return Documents.readJourney(document, Catalogue.EMPTY);
  }

  /**
   * Adds a journey with what is assumed of its people.
   *
   * @return its id
   */
  public long add(Journey journey, Behaviour behaviour) {
    NewJourneyRow row =
        new NewJourneyRow(
            Json.write(Documents.write(journey)),
            OffsetDateTime.now(clock),
            Json.write(Documents.write(behaviour)));
    mapper.insert(row);
    return java.util.Objects.requireNonNull(row.id);
  }

  /**
   * Saves a journey over the version it was read at.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost with both sides if somebody else has saved since
   */
  JourneyView save(long id, JourneyEdits.JourneySave save) {
    row(id);
    if (save.journey() == null) {
      throw new ProblemsFound(
          List.of(new Problem("missing-value", "/journey", "\u201cjourney\u201d is missing.")));
    }
    Journey journey = readIn("/journey", save.journey());
    String document = Json.write(Documents.write(journey));
    int saved = mapper.updateDocument(id, save.version(), document, OffsetDateTime.now(clock));
    if (saved == 0) {
      throw new SaveLost(
          "Somebody else has saved this journey since you opened it. Both sides are kept: choose.",
          view(id),
          new JourneyEdits.LostSave(save.journey(), RunSheet.of(journey, catalogues.current())));
    }
    return view(id);
  }

  /**
   * Saves what is assumed of a journey's people.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost if somebody else has saved since
   */
  JourneyView saveBehaviour(long id, JourneyEdits.BehaviourSave save) {
    row(id);
    if (save.behaviour() == null) {
      throw new ProblemsFound(
          List.of(new Problem("missing-value", "/behaviour", "\u201cbehaviour\u201d is missing.")));
    }
    Behaviour behaviour = within("/behaviour", () -> Documents.readBehaviour(save.behaviour()));
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
        all.stream().filter(other -> other.id() != kept.id()).map(KeptJourney::journey).toList();
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
        others.stream().map(Journey::name).distinct().sorted().toList());
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
        row.behaviourVersion());
  }

  private Journey readIn(String place, JsonNode document) {
    return within(place, () -> Documents.readJourney(document, catalogues.current()));
  }

  /** Reads a part of a request, so that problems are placed in the whole of it. */
  private static <T> T within(String place, java.util.function.Supplier<T> read) {
    try {
      return read.get();
    } catch (ProblemsFound found) {
      throw new ProblemsFound(
          found.problems().stream()
              .map(p -> new Problem(p.code(), place + p.place(), p.sentence()))
              .toList());
    }
  }
}
