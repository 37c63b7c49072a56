package org.opentrellis.app.journeys;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.revisions.CatalogueChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.core.check.Neighbour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes the cards by which lists and the other journeys know a journey, whenever it is saved. */
@Component
@Transactional
class Cards {
  /** Grows whenever cards say something else, or say it otherwise: all are made anew then. */
  static final int FORM = 4;

  private static final int LONGEST_SEARCH = 4_000;

  private final CardMapper mapper;
  private final JourneyMapper journeys;
  private final JourneyIndex index;
  private final Catalogues catalogues;
  private final Revisions revisions;
  private final ApplicationEventPublisher events;
  private final Around.Sight sight;

  Cards(
      CardMapper mapper,
      JourneyMapper journeys,
      JourneyIndex index,
      Catalogues catalogues,
      Revisions revisions,
      ApplicationEventPublisher events,
      Around.Sight sight) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.index = index;
    this.catalogues = catalogues;
    this.revisions = revisions;
    this.events = events;
    this.sight = sight;
  }

  /**
   * A journey as it is kept now, looked over.
   *
   * @throws NotFound if there is none
   */
  Look look(long id) {
    return look(find(id));
  }

  private Look look(KeptJourney kept) {
    return Look.at(kept, catalogues.current(), sight.of(kept.id()));
  }

  private KeptJourney find(long id) {
    Optional<JourneyRow> row = journeys.find(id);
    return KeptJourney.of(row, id, catalogues.current());
  }

  /** Makes the card of a journey anew; its transaction holds the account. */
  Look make(long id) {
    return make(find(id));
  }

  /** The same of a journey that is kept so now. */
  Look make(KeptJourney kept) {
    Look look = look(kept);
    make(kept, look.sheet());
    keep(kept.id(), look, now());
    return look;
  }

  /** Makes a card whose findings are still to be looked for. */
  private void makeUnchecked(long id) {
    KeptJourney kept = find(id);
    make(kept, RunSheet.of(kept.journey(), catalogues.current()));
  }

  private void make(KeptJourney kept, RunSheet sheet) {
    Journey journey = kept.journey();
    Catalogue catalogue = catalogues.current();
    Fact now = Fact.of(kept, Neighbour.of(journey, catalogue));
    Optional<FactsRow> row = mapper.facts(kept.id());
    Fact before = row.map(Fact::of).orElse(null);
    if (before == null || !before.neighbour().equals(now.neighbour())) {
      revisions.grow(Revisions.Kind.NEIGHBOURS);
    }
    long revision =
        before != null && before.sameAs(now)
            ? row.get().revision()
            : revisions.grow(Revisions.Kind.FACTS);
    Phrase opening = sheet.opening().sentence();
    mapper.keep(
        new CardRow(
            kept.id(),
            FORM,
            journey.purpose().name(),
            String.valueOf(journey.state()),
            search(journey, opening),
            Json.write(opening),
            Json.write(sheet.goal().sentence()),
            Json.write(Documents.write(Strands.expand(journey, catalogue)).get("body")),
            Json.write(now.neighbour()),
            now.writtenNames(),
            revision));
    events.publishEvent(new CardMade(kept.id()));
  }

  private static String search(Journey journey, Phrase opening) {
    String text =
        "%s %s %s %s"
            .formatted(
                journey.name(),
                journey.purpose().name().replace('_', '-'),
                journey.state(),
                opening.text())
            .toLowerCase(Locale.ROOT);
    return text.substring(0, Math.min(LONGEST_SEARCH, text.length()));
  }

  /** Keeps what the checks find in a journey by now, if others have changed since, or the day. */
  void refresh(long id) {
    Now now = now();
    CardMapper.Checked checked = mapper.checked(id);
    if (!now.isOf(checked)) {
      keep(id, look(id), now);
    }
  }

  /** Unless the journey has been saved again since it was looked at. */
  private void keep(long id, Look look, Now now) {
    Found found = Found.of(look.findings());
    String worst = found.worst() == null ? null : found.worst().name();
    mapper.keepFindings(
        id,
        look.kept().version(),
        look.kept().behaviourVersion(),
        found.count(),
        worst,
        found.firstPlace(),
        now.checked());
  }

  /**
   * What the checks find by now in a journey of a list. It is only read here, also on a full disk;
   * whoever keeps it is told.
   */
  Found found(ListedRow row, Now now) {
    if (now.isOf(row.checked())) {
      return Found.of(row);
    }
    events.publishEvent(new CardOutdated(row.id()));
    return Found.of(look(row.id()).findings());
  }

  /**
   * What findings depend on besides their journey: the others, what people have, and the day.
   *
   * @param carried which tags and lists somebody has, as a number
   */
  record Now(long neighbours, long carried, LocalDate day) {
    boolean isOf(CardMapper.Checked checked) {
      return checked.equals(checked());
    }

    CardMapper.Checked checked() {
      return new CardMapper.Checked(neighbours, carried, day);
    }
  }

  Now now() {
    return new Now(revisions.now(Revisions.Kind.NEIGHBOURS), sight.carried(), sight.today());
  }

  /** A journey was put away, or brought back; its transaction holds the account. */
  void archived(long id) {
    revisions.grow(Revisions.Kind.NEIGHBOURS);
    mapper.touch(id, revisions.grow(Revisions.Kind.FACTS));
  }

  /** Whatever uses what has changed, itself or through a strand, is made anew. */
  @EventListener
  void catalogueChanged(CatalogueChanged change) {
    if (change.name() instanceof SegmentName) {
      revisions.grow(Revisions.Kind.NEIGHBOURS);
    }
    index.using(catalogues.current().usersOf(change.name())).forEach(this::makeUnchecked);
  }

  /** Makes cards that are missing, or of an earlier form. */
  void makeMissing() {
    List<Long> missing = mapper.outOfForm(FORM);
    if (!missing.isEmpty()) {
      revisions.hold();
      missing.forEach(this::makeUnchecked);
    }
  }
}
