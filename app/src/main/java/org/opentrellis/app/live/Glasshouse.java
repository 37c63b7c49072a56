package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.app.people.KnownPerson;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.sentence.Sentences;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that runs, to be looked at. */
@Service
@Transactional(readOnly = true)
class Glasshouse {
  private static final int LINES = 60;
  private static final int PEOPLE = 100;
  private static final int TROUBLES = 50;

  private final ClockTurning clock;
  private final OpenJourneys open;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final LoggedCounts counted;
  private final OutboxMapper outbox;
  private final MailLeaves leaves;
  private final PutOffMapper putOff;
  private final NoticeMapper notices;
  private final LogReading reading;
  private final KnownPeople people;
  private final Journeys journeys;
  private final Catalogues catalogues;

  Glasshouse(
      ClockTurning clock,
      OpenJourneys open,
      LifeMapper lives,
      HappeningMapper log,
      LoggedCounts counted,
      OutboxMapper outbox,
      MailLeaves leaves,
      PutOffMapper putOff,
      NoticeMapper notices,
      LogReading reading,
      KnownPeople people,
      Journeys journeys,
      Catalogues catalogues) {
    this.clock = clock;
    this.open = open;
    this.lives = lives;
    this.log = log;
    this.counted = counted;
    this.outbox = outbox;
    this.leaves = leaves;
    this.putOff = putOff;
    this.notices = notices;
    this.reading = reading;
    this.people = people;
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  GlasshouseView view() {
    return new GlasshouseView(
        clock.view(), openJourneys(), reading.lines(log.newest(LINES)), mail(), stuck(), told());
  }

  private List<GlasshouseView.StuckPerson> stuck() {
    List<PutOffMapper.PutOffRow> rows = putOff.some(TROUBLES);
    Map<Long, String> who = called(rows.stream().map(PutOffMapper.PutOffRow::personId));
    return rows.stream()
        .map(
            row ->
                new GlasshouseView.StuckPerson(
                    row.personId(),
                    who.getOrDefault(row.personId(), ""),
                    row.tries(),
                    row.tryAt(),
                    row.said()))
        .toList();
  }

  private List<GlasshouseView.OpenJourney> openJourneys() {
    Map<Long, Map<String, Long>> atSteps = new HashMap<>();
    lives
        .atSteps()
        .forEach(
            at ->
                atSteps
                    .computeIfAbsent(at.journeyId(), none -> new HashMap<>())
                    .put(at.step(), at.people()));
    Map<Long, OpenJourneys.Open> entered =
        open.entrances().stream()
            .collect(Collectors.toMap(OpenJourneys.Open::journey, Function.identity()));
    Set<Long> all = new TreeSet<>(entered.keySet());
    all.addAll(atSteps.keySet());
    all.removeAll(open.rules());
    Map<Long, Map<String, Long>> counts = counted.now();
    Set<Long> named = journeys.names().stream().map(Journeys.Named::id).collect(Collectors.toSet());
    return all.stream()
        .map(
            id -> {
              Map<String, Long> here = atSteps.getOrDefault(id, Map.of());
              Map<String, Long> done = counts.getOrDefault(id, Map.of());
              return new GlasshouseView.OpenJourney(
                  id,
                  open.nameOf(id),
                  !named.contains(id),
                  entered.containsKey(id) ? entered.get(id).since() : null,
                  done.getOrDefault("ENTERED", 0L),
                  here.values().stream().mapToLong(Long::longValue).sum(),
                  done.getOrDefault("FINISHED", 0L),
                  done.getOrDefault("LEFT", 0L),
                  here);
            })
        .toList();
  }

  private GlasshouseView.Mail mail() {
    List<OutboxRow> troubled = outbox.troubled(TROUBLES);
    Map<Long, String> who = called(troubled.stream().map(OutboxRow::personId));
    return new GlasshouseView.Mail(
        outbox.waiting(),
        outbox.sentAgain(),
        troubled.stream()
            .map(
                row ->
                    new GlasshouseView.MailTrouble(
                        row.id(),
                        row.personId(),
                        who.getOrDefault(row.personId(), ""),
                        message(row),
                        row.dueAt(),
                        row.tries(),
                        row.state() == OutboxRow.State.WAITING ? row.tryAt() : null,
                        row.said()))
            .toList(),
        leaves.to().orElse(null));
  }

  private Map<Long, String> called(Stream<Long> persons) {
    return people.called(persons.distinct().toList());
  }

  private String message(OutboxRow row) {
    return catalogues
        .current()
        .message(new MessageId(row.messageId()))
        .map(one -> one.name())
        .orElse(row.messageId());
  }

  private List<GlasshouseView.ToldTeam> told() {
    List<NoticeMapper.NoticeRow> rows = notices.newest(LINES);
    Map<Long, String> who = called(rows.stream().map(NoticeMapper.NoticeRow::personId));
    Map<Long, KnownPerson> known =
        people.those(
            rows.stream()
                .filter(NoticeMapper.NoticeRow::isHook)
                .map(NoticeMapper.NoticeRow::personId)
                .distinct()
                .toList());
    return rows.stream()
        .map(
            row ->
                new GlasshouseView.ToldTeam(
                    row.at(),
                    row.personId(),
                    who.getOrDefault(row.personId(), ""),
                    row.journeyId() == null ? "form " + row.byForm() : open.nameOf(row.journeyId()),
                    row.address(),
                    row.words(),
                    hook(row, known)))
        .toList();
  }

  /** Of whoever was forgotten nothing is said any more. */
  private @Nullable String hook(NoticeMapper.NoticeRow row, Map<Long, KnownPerson> known) {
    KnownPerson who = known.get(row.personId());
    return row.isHook() && row.journeyId() != null && who != null
        ? WebHook.of(row, open.nameOf(row.journeyId()), who)
        : null;
  }

  PersonLive person(long id) {
    people.find(id);
    LogReading.Words words = reading.words();
    List<HappeningRow> rows =
        new ArrayList<>(
            log.of(id).stream().filter(row -> row.origin() != HappeningRow.Origin.TURN).toList());
    return new PersonLive(
        id,
        lives.stands(id).stream().map(row -> stand(row, words)).toList(),
        reading.lines(rows.reversed()),
        outbox.of(id).stream()
            .map(
                row ->
                    new PersonLive.SentToThem(
                        row.id(),
                        message(row),
                        row.channel().name(),
                        row.state().name(),
                        row.dueAt(),
                        row.sentAt(),
                        row.said()))
            .toList());
  }

  private PersonLive.StandsAt stand(VisitRow row, LogReading.Words words) {
    Program program = words.program(row.journeyId(), row.version());
    Sentences sentences =
        new Sentences(LiveNames.shown(program.journey(), journeys.allNames()), open.catalogue());
    String why =
        program.steps().stream()
            .filter(step -> step.id().value().equals(row.step()))
            .findFirst()
            .map(step -> why(step, sentences))
            .orElse("At a step that is gone");
    boolean earlier = program.version() != words.program(row.journeyId(), null).version();
    return new PersonLive.StandsAt(
        row.journeyId(),
        words.name(row.journeyId()),
        row.step(),
        why,
        row.enteredAt(),
        row.steppedAt(),
        row.untilAt(),
        earlier);
  }

  private static String why(Step step, Sentences sentences) {
    return sentences.step(step).text();
  }

  StepPeople atStep(long journey, String step) {
    List<VisitRow> rows = lives.atStep(journey, step, PEOPLE);
    Map<Long, String> who = called(rows.stream().map(VisitRow::personId));
    long total =
        lives.atStepsOf(journey).stream()
            .filter(at -> at.step().equals(step))
            .mapToLong(LifeMapper.AtStep::people)
            .sum();
    return new StepPeople(
        total,
        rows.stream()
            .map(
                row ->
                    new StepPeople.StandingPerson(
                        row.personId(),
                        who.getOrDefault(row.personId(), ""),
                        row.steppedAt(),
                        row.untilAt()))
            .toList());
  }
}
