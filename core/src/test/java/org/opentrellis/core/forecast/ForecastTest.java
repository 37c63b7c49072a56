package org.opentrellis.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.reaction;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.dryrun.Arrival;
import org.opentrellis.core.dryrun.AsTheyCame;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.testing.ThreeEmails;

/** The band holds what it promises, and finds what is otherwise. Seeds are fixed. */
@Tag("thorough")
class ForecastTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");
  private static final int DAYS = 14;
  private static final long UNTIL = START.getEpochSecond() + DAYS * 86_400L;
  private static final Function<ZoneId, ZoneClock> CLOCKS =
      zone -> ZoneClock.around(zone, START, 60);
  private static final Catalogue THREE = ThreeEmails.MESSAGES;
  private static final Journey JOURNEY = ThreeEmails.JOURNEY;

  private static Behaviour pulls(double a, double b, double c) {
    return TypicalBehaviour.in(BERLIN)
        .edit()
        .groups(List.of(TypicalBehaviour.group("All", 1, new Keenness(0.4, 0.22), BERLIN)))
        .emails(
            Map.of(
                id("a"), reaction(a, 0.3, 0.02),
                id("b"), reaction(b, 0.3, 0.01),
                id("c"), reaction(c, 0.3, 0.03)))
        .done();
  }

  /** So many people, who come every ten minutes; the last may not have got all emails yet. */
  private static List<Arrival> people(int many, int first, Behaviour behaviour) {
    DryRun run =
        new DryRun(JOURNEY, THREE, behaviour, CohortSettings.of(first + many, 7, START, DAYS));
    return IntStream.range(first, first + many)
        .mapToObj(
            number -> {
              long at = START.getEpochSecond() + (number - first) * 600L * 144 * 10 / many;
              PersonState state = Standing.freeze(run.newcomer(number, false));
              return new Arrival(state.comingAt(at, new JourneyName(JOURNEY.name())), 0, at);
            })
        .toList();
  }

  private static AsTheyCame come(List<Arrival> people, Behaviour behaviour) {
    return new AsTheyCame(JOURNEY, THREE, behaviour, people, CLOCKS, START, DAYS, UNTIL);
  }

  private static Forecast.Runs runs(List<Arrival> people) {
    return Forecast.Runs.of(come(people, pulls(1, 1, 1)), DAYS, Effort.of(2));
  }

  /** Two hundred crowds of whom the assumptions are true. */
  @Test
  void ofAHundredFiguresNinetyFiveLieInside() {
    long told = 0;
    long inside = 0;
    for (int n = 0; n < 20; n++) {
      List<Arrival> people = people(60, 60 * n, pulls(1, 1, 1));
      Forecast.Runs runs = runs(people);
      AsTheyCame reality = come(people, pulls(1, 1, 1));
      for (int crowd = 0; crowd < 10; crowd++) {
        List<Compared> figures = Forecast.of(runs, reality.once(9_000 + crowd)).toldOnce();
        told += figures.size();
        inside += figures.stream().filter(one -> !one.outside()).count();
      }
    }
    assertThat(told).isGreaterThan(200 * 12);
    // At least 95%; figures of few values lie inside more often.
    assertThat((double) inside / told).isBetween(0.945, 0.985);
  }

  @Test
  void whatIsOtherwiseIsFoundAndTheRestIsNot() {
    int found = 0;
    int wrongly = 0;
    for (int n = 0; n < 10; n++) {
      List<Arrival> people = people(250, 250 * n, pulls(1, 1, 1));
      Forecast forecast = Forecast.of(runs(people), come(people, pulls(1, 0.3, 1)).once(9_000 + n));
      Compared second = at(forecast, Place.of(Place.About.OPENED, id("b")));
      found += second.verdict() == Compared.Verdict.LOWER ? 1 : 0;
      Compared first = at(forecast, Place.of(Place.About.OPENED, id("a")));
      wrongly += first.outside() ? 1 : 0;
    }
    assertThat(found).isGreaterThanOrEqualTo(9);
    assertThat(wrongly).isLessThanOrEqualTo(2);
  }

  private static Compared at(Forecast forecast, Place place) {
    return forecast.figures().stream()
        .filter(one -> one.place().equals(place))
        .findFirst()
        .orElseThrow();
  }

  /** The same people as a dry run's, at the same moments, get the same emails. */
  @Test
  void nobodyIsLostOnTheWayBack() {
    Behaviour behaviour = pulls(1, 1, 1);
    List<Arrival> people = people(300, 0, behaviour);
    var tally = come(people, behaviour).once(1).journey();
    assertThat(tally.entered()).isEqualTo(300);
    assertThat(tally.sends().getFirst().sent()).isEqualTo(300);
    assertThat(come(people, behaviour).once(1).journey().goalMet()).isEqualTo(tally.goalMet());
  }

  @Test
  void fewerThanForecastHaveAWiderBand() {
    List<Proportion> runs = new ArrayList<>();
    for (int n = 0; n < Band.RUNS; n++) {
      runs.add(new Proportion(100 + n % 41, 400));
    }
    Band asMany = Band.of(runs, 400).orElseThrow();
    Band fewer = Band.of(runs, 100).orElseThrow();
    assertThat(asMany.low()).isEqualTo(0.25);
    assertThat(asMany.high()).isEqualTo(0.3475);
    assertThat(fewer.reach())
        .isCloseTo(2 * asMany.reach(), org.assertj.core.data.Offset.offset(1e-9));
    assertThat(Band.of(runs, 0)).isEmpty();
  }

  @Test
  void eachVerdictIsASentenceWithItsFigures() {
    Place place = Place.of(Place.About.OPENED, id("b"));
    Optional<Band> band = Optional.of(new Band(0.20, 0.27, 0.34));
    assertThat(Compared.of(place, Share.of(26, 191), band).said())
        .isEqualTo("lower than forecast: 13.6% of 191, 20.0% to 34.0% were expected");
    assertThat(Compared.of(place, Share.of(70, 191), band).said())
        .isEqualTo("higher than forecast: 36.6% of 191, 20.0% to 34.0% were expected");
    // A band of 7 points to each side of 27; 5.4 would do, for which it takes (7/5.4)^2 as many.
    assertThat(Compared.of(place, Share.of(50, 191), band).said())
        .isEqualTo("too few yet, 130 more");
    assertThat(Compared.of(place, Share.of(50, 191), Optional.of(new Band(0.24, 0.27, 0.3))).said())
        .isEqualTo("as forecast");
    assertThat(Compared.of(place, Share.of(0, 0), band).said()).isEqualTo("none yet");
    assertThat(Compared.of(place, Share.of(1, 2), Optional.empty()).said())
        .isEqualTo("too few yet");
  }

  @Test
  void whatIsOtherwiseIsSaidInWholeSentences() {
    Optional<Band> band = Optional.of(new Band(0.20, 0.21, 0.22));
    Share lower = Share.of(26, 191);
    Share inside = Share.of(40, 191);
    Forecast forecast =
        new Forecast(
            191,
            List.of(
                Compared.of(Place.of(Place.About.GOT_TO, id("b")), lower, band),
                Compared.of(Place.of(Place.About.OPENED, id("b")), lower, band),
                Compared.of(
                    Place.of(Place.About.UNSUBSCRIBED_BY, id("b")), Share.of(90, 191), band),
                Compared.of(Place.of(Place.About.CLICKED, id("b")), inside, band),
                Compared.of(Place.of(Place.About.GOAL), lower, band),
                Compared.of(Place.byDay(3), lower, band),
                Compared.of(Place.of(Place.About.BOUGHT), Share.of(0, 0), band)));
    assertThat(ForecastWords.of(forecast, step -> "\u201cTwo\u201d"))
        .containsExactly(
            "\u201cTwo\u201d is opened less often than forecast: 13.6% of 191, 20.0% to 22.0% were expected.",
            "\u201cTwo\u201d makes more people unsubscribe than forecast: 47.1% of 191, 20.0% to 22.0% were expected.",
            "The goal is met less often than forecast: 13.6% of 191, 20.0% to 22.0% were expected.",
            "Of 4 figures 3 lie outside the band; by chance alone it would be about one in twenty.");
  }
}
