package org.opentrellis.app.journeys;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.check.CheckContext;
import org.opentrellis.core.check.Checks;
import org.opentrellis.core.format.BehaviourDocument;
import org.opentrellis.core.format.BehaviourFormat;
import org.opentrellis.core.format.JourneyDocument;
import org.opentrellis.core.format.JourneyReader;
import org.opentrellis.core.format.JourneyWriter;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The journeys, as they are kept. */
@Service
@Transactional
public class Journeys {
  private static final ZoneId ACCOUNT_ZONE = ZoneId.of("Europe/Berlin");

  private final JourneyMapper mapper;
  private final MessageLibrary messages;
  private final Clock clock;

  Journeys(JourneyMapper mapper, MessageLibrary messages, Clock clock) {
    this.mapper = mapper;
    this.messages = messages;
    this.clock = clock;
  }

  /** All journeys, oldest first. */
  public List<KeptJourney> all() {
    Set<MessageId> known = messageIds();
    return mapper.all().stream().map(row -> kept(row, known)).toList();
  }

  /**
   * @throws NotFound if there is none
   */
  public KeptJourney find(long id) {
    return kept(row(id), messageIds());
  }

  List<JourneyView> views() {
    List<KeptJourney> all = all();
    List<Message> library = messages.all();
    return all.stream().map(kept -> view(kept, all, library)).toList();
  }

  /** A journey with its sentences and findings. */
  public JourneyView view(long id) {
    return view(find(id), all(), messages.all());
  }

  /** Adds an empty draft that once-per-person readers enter; its people behave typically. */
  public JourneyView add(JourneyEdits.NewJourney given) {
    JourneyDocument empty =
        new JourneyDocument(
            given.name(),
            given.purpose(),
            JourneyState.DRAFT,
            List.of(),
            null,
            ReEntry.NEVER,
            null,
            List.of());
    return view(add(empty, BehaviourFormat.write(TypicalBehaviour.in(ACCOUNT_ZONE))));
  }

  /**
   * Adds a journey with what is assumed of its people.
   *
   * @return its id
   * @throws ProblemsFound if something in it is wrong
   */
  public long add(JourneyDocument document, BehaviourDocument behaviour) {
    Journey journey = read(document);
    Behaviour people = BehaviourFormat.read(behaviour);
    NewJourneyRow row =
        new NewJourneyRow(
            Json.write(JourneyWriter.write(journey)),
            OffsetDateTime.now(clock),
            Json.write(BehaviourFormat.write(people)));
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
    String document = Json.write(JourneyWriter.write(journey));
    int saved = mapper.updateDocument(id, save.version(), document, OffsetDateTime.now(clock));
    if (saved == 0) {
      throw new SaveLost(
          "Somebody else has saved this journey since you opened it. Both sides are kept: choose.",
          view(id),
          new JourneyEdits.LostSave(save.journey(), RunSheet.of(journey, messages.all())));
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
    Behaviour behaviour = within("/behaviour", () -> BehaviourFormat.read(save.behaviour()));
    String document = Json.write(BehaviourFormat.write(behaviour));
    if (mapper.updateBehaviour(id, save.version(), document) == 0) {
      throw new SaveLost(
          "Somebody else has changed these assumptions since you opened them.",
          view(id),
          save.behaviour());
    }
    return view(id);
  }

  private static JourneyView view(KeptJourney kept, List<KeptJourney> all, List<Message> library) {
    Set<TagName> elsewhere = new HashSet<>();
    all.stream()
        .filter(other -> other.id() != kept.id())
        .forEach(other -> elsewhere.addAll(Checks.tagsSetBy(other.journey())));
    CheckContext context = new CheckContext(kept.journey(), library, kept.behaviour(), elsewhere);
    return new JourneyView(
        kept.id(),
        kept.version(),
        kept.savedAt(),
        JourneyWriter.write(kept.journey()),
        RunSheet.of(kept.journey(), library),
        Checks.run(context).stream().map(JourneyView.FindingView::of).toList(),
        BehaviourFormat.write(kept.behaviour()),
        kept.behaviourVersion());
  }

  private JourneyRow row(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("journey", id));
  }

  private static KeptJourney kept(JourneyRow row, Set<MessageId> known) {
    return new KeptJourney(
        row.id(),
        row.version(),
        row.savedAt(),
        JourneyReader.read(Json.read(row.document(), JourneyDocument.class), known),
        BehaviourFormat.read(Json.read(row.behaviour(), BehaviourDocument.class)),
        row.behaviourVersion());
  }

  private Journey read(JourneyDocument document) {
    return JourneyReader.read(document, messageIds());
  }

  private Set<MessageId> messageIds() {
    return messages.all().stream().map(Message::id).collect(Collectors.toSet());
  }

  private Journey readIn(String place, JourneyDocument document) {
    return within(place, () -> read(document));
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
