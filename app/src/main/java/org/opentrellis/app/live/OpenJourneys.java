package org.opentrellis.app.live;

import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.JourneyKind;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.revisions.Snapshot;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.live.Editions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people can enter: every opening, closing and stopping of a journey, in order. */
@Service
@Transactional
class OpenJourneys {
  private final EditionMapper mapper;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final RegisteredNames names;
  private final Revisions revisions;
  private final AccountClock clock;
  private final Snapshot<Compiled> snapshot = new Snapshot<>();
  private volatile @Nullable SoldSince since;

  /** Made ready to run over what the shop sold then. */
  private record Compiled(List<Product> sold, Editions editions, List<Open> open) {}

  /** The same once the shop sells something else. */
  private record SoldSince(Compiled then, Compiled now) {}

  /**
   * A journey that people can enter.
   *
   * @param since when it has been open without a break, in epoch seconds
   * @param catalogue as it was when it was opened
   * @param mailsAtOnce whether it begins with an email
   * @param ownZone in which its times are; empty for each person's own
   */
  record Open(
      long journey,
      long since,
      List<Trigger> triggers,
      Catalogue catalogue,
      boolean mailsAtOnce,
      Optional<ZoneId> ownZone) {
    JourneyName name() {
      return LiveNames.of(journey);
    }

    /** The triggers that time alone may bring about. */
    List<Trigger> timed() {
      return triggers.stream()
          .filter(
              trigger ->
                  trigger instanceof Trigger.DateComes
                      || trigger instanceof Trigger.OnDate
                      || trigger instanceof Trigger.EntersSegment)
          .toList();
    }

    List<SegmentName> segments() {
      return triggers.stream()
          .filter(Trigger.EntersSegment.class::isInstance)
          .map(trigger -> ((Trigger.EntersSegment) trigger).segment())
          .toList();
    }
  }

  OpenJourneys(
      EditionMapper mapper,
      Journeys journeys,
      Catalogues catalogues,
      RegisteredNames names,
      Revisions revisions,
      AccountClock clock) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.names = names;
    this.revisions = revisions;
    this.clock = clock;
  }

  /** As it is now. */
  @Transactional(readOnly = true)
  Editions current() {
    return compiled().editions();
  }

  /** The journeys that people can enter now. */
  @Transactional(readOnly = true)
  List<Open> entrances() {
    return compiled().open();
  }

  private Compiled compiled() {
    List<Product> sold = names.sold();
    Compiled compiled = revisions.see(Revisions.Kind.EDITIONS, snapshot, last -> compile(sold));
    if (compiled.sold().equals(sold)) {
      return compiled;
    }
    SoldSince last = since;
    if (last == null || last.then() != compiled || !last.now().sold().equals(sold)) {
      last = new SoldSince(compiled, compile(sold));
      since = last;
    }
    return last.now();
  }

  private Compiled compile(List<Product> sold) {
    Editions editions = Editions.none(sold);
    Map<Long, Open> now = new LinkedHashMap<>();
    for (EditionRow row : mapper.after(0)) {
      Edition edition = row.edition();
      editions = editions.and(edition);
      if (row.journeyId() == null) {
        continue;
      }
      Open before = now.remove(row.journeyId());
      if (edition instanceof Edition.Opened opened) {
        now.put(
            row.journeyId(),
            new Open(
                row.journeyId(),
                before == null ? row.at() : before.since(),
                opened.plan().triggers(),
                opened.catalogue(),
                FirstHour.mails(opened.plan().body()),
                opened.plan().zone()));
      }
    }
    return new Compiled(sold, editions, List.copyOf(now.values()));
  }

  /** The number of the newest edition; 0 if nothing was ever opened. */
  @Transactional(readOnly = true)
  int newest() {
    return mapper.newest();
  }

  /** Whether nothing was ever opened. */
  @Transactional(readOnly = true)
  boolean none() {
    return newest() == 0;
  }

  /**
   * People enter a journey from now on as it is saved.
   *
   * @param takesAlong whether those inside go on with it, or finish on the plan that they began
   */
  void open(long journey, boolean takesAlong) {
    KeptJourney kept = journeys.find(journey);
    Journey plan = LiveNames.running(journey, kept.journey(), journeys.allNames());
    open(journey, plan, kept.version(), catalogues.current(), takesAlong);
  }

  /** The same with a plan that is called by the journey's number. */
  void open(long journey, Journey plan, int version, Catalogue catalogue, boolean takesAlong) {
    add(
        new EditionRow(
            mapper.newest() + 1,
            journey,
            EditionRow.Kind.OPENED,
            clock.now(),
            version,
            Json.write(Documents.write(plan)),
            Json.write(Documents.write(catalogue)),
            takesAlong,
            null));
  }

  /** Nobody new enters it. */
  void close(long journey) {
    add(shut(journey, EditionRow.Kind.CLOSED));
  }

  /** Nobody enters it, and those inside leave. */
  void stop(long journey) {
    add(shut(journey, EditionRow.Kind.STOPPED));
  }

  private EditionRow shut(long journey, EditionRow.Kind kind) {
    return new EditionRow(
        mapper.newest() + 1, journey, kind, clock.now(), null, null, null, null, null);
  }

  /** So much mail is enough for one person from now on. */
  void press(Optional<Pressure> pressure) {
    add(
        new EditionRow(
            mapper.newest() + 1,
            null,
            EditionRow.Kind.PRESSED,
            clock.now(),
            null,
            null,
            null,
            null,
            pressure.map(Json::write).orElse(null)));
  }

  private void add(EditionRow row) {
    mapper.insert(row);
    revisions.grow(Revisions.Kind.EDITIONS);
  }

  /** What all journeys that run refer to, as it was at the last opening. */
  @Transactional(readOnly = true)
  Catalogue catalogue() {
    Editions editions = current();
    return editions.world(editions.newest()).catalogue();
  }

  /** Those that are rules: nobody is inside of one, and nobody is sent anything by it. */
  @Transactional(readOnly = true)
  Set<Long> rules() {
    return journeys.namesOf(JourneyKind.RULE).stream()
        .map(Journeys.Named::id)
        .collect(Collectors.toSet());
  }

  /** How a journey is called now. */
  @Transactional(readOnly = true)
  String nameOf(long journey) {
    return journeys.allNames().stream()
        .filter(one -> one.id() == journey)
        .map(Journeys.Named::name)
        .findFirst()
        .orElseGet(() -> journeys.find(journey).journey().name());
  }
}
