package org.opentrellis.core.calibrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.reaction;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Attention;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Origin;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.testing.ThreeEmails;

/** Simulate from known values, fit, and get them back within their intervals. Seeds are fixed. */
@Tag("thorough")
class CalibratorTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");
  private static final Instant UNTIL = Instant.parse("2027-05-15T00:00:00Z");
  private static final Catalogue THREE = ThreeEmails.MESSAGES;
  private static final Journey JOURNEY = ThreeEmails.JOURNEY;

  /** How long it takes to buy after a click, on average. */
  private static final double BUY_HOURS = 100;

  /** Pulls of 1, 0.6 and 1.7 against their geometric mean, since all three go to all. */
  private static final double[] RELATIVE = relative(1, 0.6, 1.7);

  private static double[] relative(double... pulls) {
    double product = java.util.Arrays.stream(pulls).reduce(1, (a, b) -> a * b);
    double mean = Math.pow(product, 1.0 / pulls.length);
    return java.util.Arrays.stream(pulls).map(pull -> pull / mean).toArray();
  }

  private static Behaviour people(Attention attention) {
    var group = TypicalBehaviour.group("All", 1, new Keenness(0.4, 0.22), BERLIN);
    return TypicalBehaviour.in(BERLIN)
        .edit()
        .groups(List.of(group))
        .attention(attention)
        .buyAfterClick(Assumed.byHand(0.2))
        .buyMeanHours(Assumed.byHand(BUY_HOURS))
        .emails(
            Map.of(
                id("a"), reaction(RELATIVE[0], 0.3, 0.02),
                id("b"), reaction(RELATIVE[1], 0.2, 0.01),
                id("c"), reaction(RELATIVE[2], 0.4, 0.03)))
        .done();
  }

  /** What a mail server and a shop would have written down. */
  private static List<SendRecord> history(Behaviour people, int count, long seed) {
    DryRun run = new DryRun(JOURNEY, THREE, people, CohortSettings.of(count, seed, START, 60));
    List<SendRecord> history = new ArrayList<>();
    for (int number = 0; number < count; number++) {
      Visit visit = run.follow(number, Witness.NOBODY).visits().get(0);
      for (int n = 0; n < visit.sends(); n++) {
        history.add(record(number, visit, visit.sentInOrder(n).send()));
      }
    }
    return history;
  }

  private static SendRecord record(int number, Visit visit, int send) {
    String message = visit.program().messages(send).get(0).id().value();
    long unsubscribed = visit.person().unsubscribesAt();
    boolean after =
        visit.sent(send).peopleOpenAt() < unsubscribed
            && lastOpenBefore(visit, unsubscribed) == send;
    return new SendRecord(
        "p" + number,
        message,
        BERLIN,
        Instant.ofEpochSecond(visit.sent(send).at()),
        at(visit.sent(send).deliveredAt()),
        at(visit.sent(send).recordedOpenAt()),
        at(visit.sent(send).clickAt()),
        after ? at(unsubscribed) : Optional.empty(),
        at(visit.sent(send).orderAt()));
  }

  private static int lastOpenBefore(Visit visit, long moment) {
    int last = -1;
    for (int send = 0; send < 3; send++) {
      long open = visit.sent(send).peopleOpenAt();
      if (open < moment && (last < 0 || open > visit.sent(last).peopleOpenAt())) {
        last = send;
      }
    }
    return last;
  }

  private static Optional<Instant> at(long moment) {
    return moment >= UNTIL.getEpochSecond()
        ? Optional.empty()
        : Optional.of(Instant.ofEpochSecond(moment));
  }

  /** Each value that was put in, and what came back. */
  private static Map<String, Map.Entry<Double, Estimate>> pairs(Calibration fit) {
    Map<String, Map.Entry<Double, Estimate>> pairs = new java.util.LinkedHashMap<>();
    pairs.put("mean", Map.entry(0.4, fit.keennessMean()));
    pairs.put("spread", Map.entry(0.22, fit.keennessSpread()));
    pairs.put("preloads", Map.entry(0.18, fit.preloads()));
    pairs.put("median", Map.entry(3.0, fit.openMedianHours()));
    pairs.put("sigma", Map.entry(1.6, fit.openSigma()));
    pairs.put("buys", Map.entry(0.2, fit.buyAfterClick().orElseThrow()));
    pairs.put("buy delay", Map.entry(BUY_HOURS, fit.buyMeanHours().orElseThrow()));
    double[] pulls = RELATIVE;
    double[] clicks = {0.3, 0.2, 0.4};
    double[] leavers = {0.02, 0.01, 0.03};
    String[] names = {"one", "two", "three"};
    for (int i = 0; i < 3; i++) {
      Calibration.OfMessage of = fit.messages().get(names[i]);
      pairs.put("pull " + names[i], Map.entry(pulls[i], of.pull().orElseThrow()));
      pairs.put("click " + names[i], Map.entry(clicks[i], of.clickGivenOpen().orElseThrow()));
      pairs.put(
          "leave " + names[i], Map.entry(leavers[i], of.unsubscribeGivenOpen().orElseThrow()));
    }
    return pairs;
  }

  /** 2.25 times a 95% interval: a sound fit fails one of the 16 once in some 6,500 seeds. */
  @Test
  void knownValuesComeBack() {
    Calibration fit =
        Calibrator.fit(history(people(Attention.flat(Origin.TYPICAL)), 6_000, 11), UNTIL);
    assertThat(fit.people()).isEqualTo(6_000);
    pairs(fit)
        .forEach(
            (name, pair) -> {
              double known = pair.getKey();
              Estimate e = pair.getValue();
              assertThat(known)
                  .as("%s: %s", name, e)
                  .isBetween(
                      e.value() - 2.25 * (e.value() - e.low()) - 1e-9,
                      e.value() + 2.25 * (e.high() - e.value()) + 1e-9);
            });
    assertThat(fit.attention()).isEmpty();
    Behaviour measured = fit.into(TypicalBehaviour.in(BERLIN), JOURNEY.sends());
    assertThat(measured.reactionTo(id("b")).pull().origin()).isEqualTo(Origin.MEASURED);
    assertThat(measured.groups().get(0).keenness().mean()).isEqualTo(fit.keennessMean().value());
  }

  /**
   * The intervals cover as often as they say: of 12 histories with 16 fitted values each, 192 in
   * all, 182 are due; fewer than 169 happen to sound intervals less than once in 10,000 times.
   */
  @Test
  void theIntervalsCover() {
    int covered = 0;
    for (int seed = 100; seed < 112; seed++) {
      var fit = Calibrator.fit(history(people(Attention.flat(Origin.TYPICAL)), 1_500, seed), UNTIL);
      var pairs = pairs(fit);
      covered +=
          (int) pairs.values().stream().filter(p -> p.getValue().contains(p.getKey())).count();
    }
    assertThat(covered).isGreaterThanOrEqualTo(169);
  }

  /**
   * A night without attention and busy evenings; at least 90% of the hours within their interval.
   */
  @Test
  void theAttentionProfileComesBack() {
    List<Double> hours = new ArrayList<>();
    for (int i = 0; i < Attention.WEEK; i++) {
      int hour = i % 24;
      hours.add(hour < 6 ? 0.1 : hour < 17 ? 1.0 : 2.0);
    }
    Attention known = new Attention(hours, Origin.BY_HAND);
    Calibration fit = Calibrator.fit(history(people(known), 12_000, 11), UNTIL);
    List<Estimate> found = fit.attention().orElseThrow();
    long right =
        java.util.stream.IntStream.range(0, Attention.WEEK)
            .filter(h -> found.get(h).contains(known.hours().get(h)))
            .count();
    assertThat(right).isGreaterThanOrEqualTo(Math.round(0.85 * Attention.WEEK));
    assertThat(fit.openMedianHours().value()).isCloseTo(3, within(0.35));
    assertThat(fit.openSigma().value()).isCloseTo(1.6, within(0.12));
  }

  private static List<SendRecord> oneEmailEach(
      int people, Instant sent, IntFunction<Optional<Instant>> opened) {
    return IntStream.range(0, people)
        .mapToObj(
            n ->
                new SendRecord(
                    "p" + n,
                    "planner",
                    ZoneOffset.UTC,
                    sent,
                    Optional.of(sent),
                    opened.apply(n),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()))
        .toList();
  }

  /** A history that many values fit equally well gave intervals from NaN to NaN. */
  @Test
  void whatCannotBeMeasuredIsSaidAndNeverGivenAsNoNumber() {
    Instant sent = Instant.parse("2027-03-01T09:00:00Z");
    Instant until = sent.plusSeconds(864_000);
    List<SendRecord> everybody =
        oneEmailEach(60, sent, n -> Optional.of(sent.plusSeconds(3_600 + 60L * n)));
    assertThatThrownBy(() -> Calibrator.fit(everybody, until))
        .isInstanceOf(Refused.class)
        .hasMessageStartingWith("everybody opened every message that reached them");
    List<SendRecord> atOnce =
        oneEmailEach(
            60, sent, n -> n % 2 == 0 ? Optional.of(sent.plusSeconds(3_600)) : Optional.empty());
    assertThatThrownBy(() -> Calibrator.fit(atOnce, until))
        .isInstanceOf(Refused.class)
        .hasMessageStartingWith("all 30 opens came equally long after sending");
  }

  /** Nothing is known of what nobody did; that is not 0. */
  @Test
  void whatNobodyCouldDoIsLeftOut() {
    Instant sent = Instant.parse("2027-03-01T08:00:00Z");
    List<SendRecord> history =
        new ArrayList<>(
            oneEmailEach(
                100,
                sent,
                n -> n % 2 == 0 ? Optional.of(sent.plusSeconds(3_600L + n)) : Optional.empty()));
    history.add(unread("p1", "never opened", sent.plusSeconds(90_000)));
    Calibration fitted = Calibrator.fit(history, sent.plusSeconds(5_000_000));
    assertThat(fitted.buyAfterClick()).isEmpty();
    Calibration.OfMessage never = fitted.messages().get("never opened");
    assertThat(never)
        .isEqualTo(new Calibration.OfMessage(Optional.empty(), Optional.empty(), Optional.empty()));
    Behaviour before = people(Attention.flat(Origin.TYPICAL));
    assertThat(fitted.into(before, JOURNEY.sends()).buyAfterClick())
        .isEqualTo(before.buyAfterClick());
  }

  private static SendRecord unread(String person, String message, Instant sent) {
    Optional<Instant> never = Optional.empty();
    return new SendRecord(
        person, message, ZoneOffset.UTC, sent, Optional.of(sent), never, never, never, never);
  }

  /** One email to each tells how keen they are, but not how much they differ. */
  @Test
  void whatOneEmailCannotTellMayBeAnything() {
    Instant sent = Instant.parse("2027-03-01T08:00:00Z");
    List<SendRecord> once =
        oneEmailEach(
            400,
            sent,
            n ->
                n % 2 == 0
                    ? Optional.of(sent.plusSeconds(3_600 + 3_600L * (n % 10)))
                    : Optional.empty());
    Calibration fitted = Calibrator.fit(once, sent.plusSeconds(5_000_000));
    assertThat(fitted.keennessMean().low()).isBetween(0.4, 0.5);
    assertThat(fitted.keennessMean().high()).isBetween(0.5, 0.6);
    assertThat(fitted.keennessSpread().low()).isZero();
    assertThat(fitted.keennessSpread().high()).isEqualTo(1);
  }

  @Test
  void tooLittleIsSaidSo() {
    assertThatThrownBy(() -> Calibrator.fit(List.of(), UNTIL))
        .hasMessage("a calibration needs at least 20 opens by people, not 0");
  }

  /**
   * Saxony sibships of 12, boys 0 to 12 (Lindsey and Altham 1998; data from R's vcd): a 34.1028576,
   * b 31.5782342, log likelihood -12492.871359 (mpmath, R). The likelihood is flat, so a and b are
   * held to 0.02 only.
   */
  @Test
  void theBetaBinomialOfTheSaxonyFamilies() {
    BetaBinomial fit =
        BetaBinomial.fit(new long[] {3, 24, 104, 286, 670, 1033, 1343, 1112, 829, 478, 181, 45, 7});
    assertThat(fit.alpha()).isCloseTo(34.1028576, within(0.02));
    assertThat(fit.beta()).isCloseTo(31.5782342, within(0.02));
    assertThat(fit.logLikelihood()).isCloseTo(-12492.871359, within(1e-5));
  }

  /**
   * A history that calls messages by their steps, held against assumptions of which one is wrong.
   */
  @Test
  void aLessonTellsWhatDiffersAndNotWhatIsChance() {
    Behaviour so = people(Attention.flat(Origin.TYPICAL));
    List<SendRecord> history =
        history(so, 2_000, 3).stream().map(CalibratorTest::calledByStep).toList();
    Calibration fit = Calibrator.fit(history, UNTIL);
    List<Lesson> asIs = Lesson.of(so, fit, JOURNEY.sends());
    assertThat(asIs).hasSizeGreaterThan(12);
    assertThat(asIs.stream().filter(Lesson::differs).count()).isLessThanOrEqualTo(2);

    Behaviour wrong =
        so.edit().emails(with(so, id("b"), reaction(3 * RELATIVE[1], 0.2, 0.01))).done();
    List<Lesson> lessons = Lesson.of(wrong, fit, JOURNEY.sends());
    Lesson second =
        lessons.stream()
            .filter(one -> one.about() == Lesson.About.OPENS)
            .filter(one -> one.step().equals(Optional.of(id("b"))))
            .findFirst()
            .orElseThrow();
    assertThat(second.differs()).isTrue();
    assertThat(second.now().value()).isLessThan(second.before());
    assertThat(Lesson.verdict(lessons)).matches("(One|\\d+) of \\d+ values differs? from .*");
    assertThat(fit.intoSteps(wrong, JOURNEY.sends()).emails().get(id("b")).pull().origin())
        .isEqualTo(Origin.MEASURED);
  }

  /** Groups keep their keenness; what they would open is what was opened, all the same. */
  @Test
  void ofSeveralGroupsTheEmailsAreOpenedAsMeasured() {
    Behaviour so = people(Attention.flat(Origin.TYPICAL));
    List<SendRecord> history =
        history(so, 3_000, 5).stream().map(CalibratorTest::calledByStep).toList();
    Calibration fit = Calibrator.fit(history, UNTIL);
    Behaviour two =
        so.edit()
            .groups(
                List.of(
                    TypicalBehaviour.group("Keen", 0.5, new Keenness(0.8, 0.2), BERLIN),
                    TypicalBehaviour.group("Others", 0.5, new Keenness(0.6, 0.2), BERLIN)))
            .done();
    for (Lesson lesson : Lesson.of(two, fit, JOURNEY.sends())) {
      if (lesson.about() == Lesson.About.OPENS) {
        String step = lesson.step().orElseThrow().value();
        long got = history.stream().filter(one -> one.message().equals(step)).count();
        double opened = OpenChance.ofPeople(so.groups(), so.reactionTo(id(step)).pull().value());
        assertThat(got).isGreaterThan(1_000);
        assertThat(lesson.now().value()).as(step).isCloseTo(opened, within(0.05));
      }
    }
  }

  private static Map<StepId, Reaction> with(Behaviour behaviour, StepId step, Reaction reaction) {
    var emails = new java.util.HashMap<>(behaviour.emails());
    emails.put(step, reaction);
    return emails;
  }

  private static SendRecord calledByStep(SendRecord record) {
    String step = Map.of("one", "a", "two", "b", "three", "c").get(record.message());
    return new SendRecord(
        record.person(),
        step,
        record.zone(),
        record.sent(),
        record.delivered(),
        record.opened(),
        record.clicked(),
        record.unsubscribed(),
        record.bought());
  }
}
