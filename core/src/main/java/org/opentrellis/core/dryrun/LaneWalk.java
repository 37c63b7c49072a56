package org.opentrellis.core.dryrun;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PlainProgram;
import org.opentrellis.core.machine.PlainQuestion;
import org.opentrellis.core.machine.PlainStep;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Stand;

/**
 * Takes people through a plain journey side by side: some hundred come to a step together, and a
 * loop does with all of them what the step does. It comes to the counts of the machine, to the last
 * bit, at less than half the time; {@code LaneWalkTest} holds it to that. Small runs stay with the
 * machine, since loops are slow before they are compiled.
 */
final class LaneWalk {
  private final Population population;
  private final PlainProgram plain;
  private final Program program;
  private final Sampler sampler;
  private final Door door;
  private final Tallies tallies;
  private final JourneyTally tally;
  private final ArrivalTally arrivals;
  private final List<GroupDraws> groups;
  private final ZoneClock[] clocks;
  private final long[] marks;
  private final Lanes lanes;
  private final LaneQuestions questions;
  private final LaneCourse course;
  private final Place place = new Place();
  private final PlainStep[] steps;

  /** By step, who stands there; and of these, who did not come straight from the step before. */
  private final int[][] standing;

  private final int[] count;
  private final int[][] fresh;
  private final int[] freshCount;
  private final boolean[] over = new boolean[Lanes.WIDTH];

  private LaneWalk(Population population, PlainProgram plain, Door door, Tallies tallies) {
    this.population = population;
    this.plain = plain;
    this.door = door;
    this.tallies = tallies;
    program = plain.program();
    sampler = population.cohort.sampler(program);
    tally = tallies.journey();
    arrivals = tally.arrivals;
    groups = population.cohort.groups();
    clocks = groups.stream().map(group -> program.clockFor(group.clock)).toArray(ZoneClock[]::new);
    marks = groups.stream().mapToLong(GroupDraws::marksAsBits).toArray();
    lanes = new Lanes(program, groups.get(0));
    questions = new LaneQuestions(lanes, program);
    course = new LaneCourse(lanes);
    steps = plain.steps().toArray(PlainStep[]::new);
    standing = new int[steps.length][Lanes.WIDTH];
    count = new int[steps.length];
    fresh = new int[steps.length][Lanes.WIDTH];
    freshCount = new int[steps.length];
  }

  /** Nothing if people must go through the journey one by one. */
  static Optional<LaneWalk> of(Population population, Tallies tallies) {
    Optional<PlainProgram> plain = PlainProgram.of(population.world);
    Optional<Door> door = population.onlyDoor();
    return plain.isPresent() && door.isPresent()
        ? Optional.of(new LaneWalk(population, plain.get(), door.get(), tallies))
        : Optional.empty();
  }

  /** Where somebody stands, for the end of a wait. */
  private static final class Place implements Stand {
    private long now;
    private long entryAt;
    private ZoneClock clock;
    private int trigger;

    @Override
    public long now() {
      return now;
    }

    @Override
    public long entryAt() {
      return entryAt;
    }

    @Override
    public ZoneClock clock() {
      return clock;
    }

    @Override
    public int trigger() {
      return trigger;
    }

    @Override
    public @Nullable Operand field(int number) {
      throw new IllegalStateException("a plain journey does not look at the record");
    }
  }

  /** Takes people through and counts them. */
  void take(int first, int end) {
    for (int from = first; from < end; from += Lanes.WIDTH) {
      batch(from, Math.min(Lanes.WIDTH, end - from));
    }
  }

  private void batch(int first, int size) {
    lanes.clear(size);
    come(first, size);
    buyAnyway(size);
    enter(size);
    for (int step = 0; step < steps.length; step++) {
      if (count[step] > 0) {
        int some = count[step];
        count[step] = 0;
        arrive(step);
        take(step, standing[step], some);
      }
    }
    for (int lane = 0; lane < size; lane++) {
      tallies.close(course.of(lane, over[lane]), first + lane, lanes.mostEmailsInAWeek(lane));
    }
  }

  private void come(int first, int size) {
    for (int lane = 0; lane < size; lane++) {
      Traits who = lanes.who[lane];
      population.become(who, first + lane);
      lanes.clock[lane] = clocks[who.group.number];
      lanes.trigger[lane] = Arrivals.trigger(who.key, door);
      long entryAt = population.entersAt(who.key, first + lane, who.group);
      lanes.entryAt[lane] = entryAt;
      lanes.endsAt[lane] = population.endOf(entryAt);
      long label = plain.labelOf(lanes.trigger[lane]);
      lanes.labels[lane] = marks[who.group.number] | (label < 0 ? 0 : 1L << label);
      lanes.hadLabels[lane] = lanes.labels[lane];
    }
  }

  private void buyAnyway(int size) {
    for (int lane = 0; lane < size; lane++) {
      Traits who = lanes.who[lane];
      if (Background.buysSomething(who.key, who.group)) {
        int buyer = lane;
        population.background.buysAnyway(
            who.key,
            who.group,
            lanes.entryAt[lane],
            lanes.endsAt[lane],
            (at, offer, cents) -> buys(buyer, at, offer, cents));
      }
    }
  }

  private void buys(int lane, long at, int offer, long cents) {
    lanes.buys(lane, at, offer, cents);
    long entryAt = lanes.entryAt[lane];
    if (at <= entryAt) {
      return;
    }
    PlainQuestion.Bought goal = plain.goal();
    if (goal != null && at <= entryAt + plain.goalSeconds() && goal.fits(offer, cents)) {
      lanes.goalAt[lane] = Math.min(lanes.goalAt[lane], at);
      if (plain.leavesAtGoal()) {
        lanes.outAt[lane] = Math.min(lanes.outAt[lane], at);
      }
    }
    for (PlainQuestion.Bought rule : plain.leaveRules()) {
      if (rule.fits(offer, cents)) {
        lanes.ruleAt[lane] = Math.min(lanes.ruleAt[lane], at);
        lanes.outAt[lane] = Math.min(lanes.outAt[lane], at);
      }
    }
  }

  private void enter(int size) {
    tally.entered += size;
    for (int lane = 0; lane < size; lane++) {
      lanes.entryDay[lane] = lanes.clock[lane].day(lanes.entryAt[lane]);
      comesTo(lane, lanes.entryAt[lane]);
      over[lane] = false;
      standing[0][lane] = lane;
      fresh[0][lane] = lane;
    }
    count[0] = size;
    freshCount[0] = size;
  }

  private void comesTo(int lane, long at) {
    lanes.now[lane] = at;
    arrivals.comesTo(lanes, lane, lanes.clock[lane].local(at));
  }

  private void arrive(int step) {
    arrivals.accept(step, lanes, fresh[step], freshCount[step]);
    freshCount[step] = 0;
  }

  private void take(int step, int[] some, int size) {
    switch (steps[step]) {
      case PlainStep.Send send -> send(step, send, some, size);
      case PlainStep.Wait wait -> pause(step, wait, some, size);
      case PlainStep.WaitFor waits -> lookOut(step, waits, some, size);
      case PlainStep.Ask ask -> ask(step, ask, some, size);
      case PlainStep.Split split -> split(step, split, some, size);
      case PlainStep.Mark mark -> mark(step, mark, some, size);
      case PlainStep.Pass pass -> goOn(step, pass.next(), some, size);
    }
  }

  /** All of them go straight on. */
  private void goOn(int step, int next, int[] some, int size) {
    if (next == Program.NOWHERE) {
      for (int n = 0; n < size; n++) {
        finish(step, some[n]);
      }
    } else if (arrivals.followsAtOnce(step) == next) {
      System.arraycopy(some, 0, standing[next], count[next], size);
      count[next] += size;
    } else {
      for (int n = 0; n < size; n++) {
        getsTo(next, some[n]);
      }
    }
  }

  /** Goes on, but not straight from the step before. */
  private void goOn(int step, int next, int lane) {
    if (next == Program.NOWHERE) {
      finish(step, lane);
    } else {
      getsTo(next, lane);
    }
  }

  private void getsTo(int next, int lane) {
    standing[next][count[next]++] = lane;
    fresh[next][freshCount[next]++] = lane;
  }

  private void finish(int step, int lane) {
    over[lane] = true;
    tally.finished++;
    tally.steps[step].finished++;
    tally.days.finishes(lanes.now[lane] - lanes.entryAt[lane]);
  }

  /**
   * Somebody stands at a step until a moment, unless they leave sooner or the run ends.
   *
   * @return whether they are still there at that moment
   */
  private boolean stays(int step, int lane, long until) {
    long end = lanes.endsAt[lane];
    if (leaves(step, lane, Math.min(until, end))) {
      return false;
    }
    if (until > end) {
      tally.steps[step].waiting++;
      tally.waiting++;
      note(lane, step, 700);
      stoodUpTo(step, lane, tally.horizonDays() + 1);
      return false;
    }
    comesTo(lane, until);
    stoodUpTo(step, lane, Days.reached(until - lanes.entryAt[lane]));
    return true;
  }

  /** Leaves, if anything takes them out up to a moment. */
  private boolean leaves(int step, int lane, long upTo) {
    return lanes.outAt[lane] <= upTo && goesOut(step, lane);
  }

  private boolean goesOut(int step, int lane) {
    long at = lanes.outAt[lane];
    long gone = lanes.goneAt[lane];
    long goal = plain.leavesAtGoal() ? lanes.goalAt[lane] : Person.NEVER;
    long now = Math.max(at, lanes.now[lane]);
    lanes.now[lane] = now;
    stoodUpTo(step, lane, Days.reached(now - lanes.entryAt[lane]));
    LeaveReason reason =
        gone <= now ? why(lane, gone) : goal <= now ? LeaveReason.GOAL_MET : LeaveReason.RULE;
    over[lane] = true;
    tally.steps[step].left[reason.ordinal()]++;
    tally.left[reason.ordinal()]++;
    tally.days.leaves(reason, now - lanes.entryAt[lane]);
    note(lane, step, 800 + reason.ordinal());
    return true;
  }

  private LeaveReason why(int lane, long gone) {
    if (lanes.unsubscribesAt[lane] == gone) {
      return LeaveReason.UNSUBSCRIBED;
    }
    return lanes.complainsAt[lane] == gone ? LeaveReason.COMPLAINED : LeaveReason.BOUNCED;
  }

  private void stoodUpTo(int step, int lane, int day) {
    if (day > lanes.counted[lane]) {
      tally.steps[step].stay(lanes.counted[lane], day);
      lanes.counted[lane] = day;
    }
  }

  private void note(int lane, int step, int turn) {
    lanes.pathKey[lane] = JourneyCounter.turned(lanes.pathKey[lane], step, turn);
  }

  private void send(int step, PlainStep.Send send, int[] some, int size) {
    int number = send.send();
    int firstVersion = program.firstVersion(number);
    EmailTally counts = tally.sends[number];
    boolean tracked = program.tracksOpens(number);
    int still = 0;
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      int variant =
          send.variants().length == 0 ? 0 : sampler.lot(step, send.variants(), lanes.who[lane].key);
      tally.sentByVersion[firstVersion + variant]++;
      isSent(lane, number);
      boolean comesBack = reacts(lane, number, variant, tracked, counts);
      if (comesBack && lanes.outAt[lane] <= lanes.now[lane]) {
        goesOut(step, lane);
        arrivals.takesBack(step, lanes, lane);
      } else {
        some[still++] = lane;
      }
    }
    goOn(step, send.next(), some, still);
  }

  private void isSent(int lane, int send) {
    lanes.sends(lane, send);
    long now = lanes.now[lane];
    ZoneClock own = lanes.who[lane].group.clock;
    tallies.emailGoesOut(
        lanes.clock[lane] == own ? lanes.hour[lane] : Math.floorDiv(own.local(now), 3600L));
    tally.days.email(now - lanes.entryAt[lane]);
  }

  /**
   * @return whether the message comes back
   */
  private boolean reacts(int lane, int send, int variant, boolean tracked, EmailTally counts) {
    Traits who = lanes.who[lane];
    SendDraws of = sampler.draws(program.firstVersion(send) + variant);
    Response response = who.response;
    long now = lanes.now[lane];
    boolean responds =
        sampler.respond(
            of,
            who,
            who.key,
            who.group.clock,
            now,
            tracked,
            of.tiredPull == null ? 0 : lanes.emailsOfTheWeek(lane),
            lanes.sends[lane] - lanes.sendsBack[lane] - 1,
            response);
    if (responds && response.bounced) {
      comesBack(lane, send, response.forGood, counts);
      return true;
    }
    lanes.deliveredAt[send][lane] = now;
    if (responds) {
      long recorded =
          tracked ? Math.min(response.preloadedAt, response.openAt) : response.preloadedAt;
      lanes.recordedOpenAt[send][lane] = recorded;
      counts.opened += recorded <= lanes.endsAt[lane] ? 1 : 0;
      if (response.openAt != Person.NEVER) {
        reads(lane, send, variant, response, lanes.endsAt[lane]);
      }
    }
    return false;
  }

  private void comesBack(int lane, int send, boolean forGood, EmailTally counts) {
    lanes.bouncedAt[send][lane] = lanes.now[lane];
    lanes.sendsBack[lane]++;
    counts.bounced++;
    if (forGood) {
      lanes.bouncesAt[lane] = lanes.now[lane];
      lanes.isGone(lane, lanes.now[lane]);
    }
  }

  private void reads(int lane, int send, int variant, Response response, long end) {
    EmailTally counts = tally.sends[send];
    lanes.peopleOpenAt[send][lane] = response.openAt;
    counts.openedByPeople += response.openAt <= end ? 1 : 0;
    if (response.unsubscribesAt < lanes.unsubscribesAt[lane]) {
      lanes.unsubscribesAt[lane] = response.unsubscribesAt;
      lanes.unsubscribesBy[lane] = send;
      lanes.isGone(lane, response.unsubscribesAt);
    }
    if (response.complainsAt < lanes.complainsAt[lane]) {
      lanes.complainsAt[lane] = response.complainsAt;
      lanes.isGone(lane, response.complainsAt);
    }
    if (response.clickAt == Person.NEVER) {
      return;
    }
    lanes.clickAt[send][lane] = response.clickAt;
    lanes.clickSlot[send][lane] = plain.linkSlot(send, variant, response.link);
    int clicked = response.clickAt <= end ? 1 : 0;
    counts.clicked += clicked;
    if (response.link >= 0) {
      counts.byLink[variant][response.link] += clicked;
    }
    if (response.orderAt != Person.NEVER) {
      if (response.orderAt <= end) {
        counts.buyers++;
        counts.revenueCents += response.cents;
      }
      buys(lane, response.orderAt, response.offer, response.cents);
    }
  }

  private long ends(PlainStep.Ends ends, int lane) {
    place.now = lanes.now[lane];
    place.entryAt = lanes.entryAt[lane];
    place.clock = lanes.clock[lane];
    place.trigger = lanes.trigger[lane];
    return ends.at(place);
  }

  private void pause(int step, PlainStep.Wait wait, int[] some, int size) {
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      long until =
          wait.days() > 0
              ? lanes.clock[lane].plusDays(lanes.now[lane], wait.days())
              : ends(wait.ends(), lane);
      if (until == PlainStep.Ends.PAST) {
        goOn(step, wait.ifPast(), lane);
      } else if (stays(step, lane, until)) {
        goOn(step, wait.next(), lane);
      }
    }
  }

  private void lookOut(int step, PlainStep.WaitFor waits, int[] some, int size) {
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      long now = lanes.now[lane];
      long deadline = ends(waits.atMost(), lane);
      boolean atOnce = deadline <= now || questions.holds(waits.what(), lane, now);
      long until =
          atOnce
              ? now
              : Math.min(deadline, questions.firstHolds(waits.what(), lane, now, deadline));
      if (atOnce || stays(step, lane, until)) {
        goOn(step, waits.next(), lane);
      }
    }
  }

  private void ask(int step, PlainStep.Ask ask, int[] some, int size) {
    if (ask.questions().size() == 1
        && ask.questions().get(0) instanceof PlainQuestion.Email email
        && email.isPlain()) {
      askOfOne(step, ask, questions.moments(email), some, size);
      return;
    }
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      long now = lanes.now[lane];
      int way = way(ask, lane, now);
      if (way == ask.questions().size()) {
        long deadline = ends(ask.atMost(), lane);
        if (deadline > now) {
          long until = deadline;
          for (PlainQuestion question : ask.questions()) {
            until = Math.min(until, questions.firstHolds(question, lane, now, until));
          }
          if (!stays(step, lane, until)) {
            continue;
          }
          way = way(ask, lane, until);
        }
      }
      takes(step, ask.firstOfArm(), way, lane);
    }
  }

  /** The usual question, quickly: whether something happened to one email. */
  private void askOfOne(int step, PlainStep.Ask ask, long[] happened, int[] some, int size) {
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      long now = lanes.now[lane];
      if (happened[lane] > now) {
        long deadline = ends(ask.atMost(), lane);
        if (deadline > now && !stays(step, lane, Math.min(deadline, happened[lane]))) {
          continue;
        }
      }
      takes(step, ask.firstOfArm(), happened[lane] <= lanes.now[lane] ? 0 : 1, lane);
    }
  }

  private int way(PlainStep.Ask ask, int lane, long at) {
    List<PlainQuestion> all = ask.questions();
    int way = 0;
    while (way < all.size() && !questions.holds(all.get(way), lane, at)) {
      way++;
    }
    return way;
  }

  private void takes(int step, int[] firstOfArm, int way, int lane) {
    tally.steps[step].ways[way]++;
    note(lane, step, way);
    goOn(step, firstOfArm[way], lane);
  }

  private void split(int step, PlainStep.Split split, int[] some, int size) {
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      int way = sampler.lot(step, split.shares(), lanes.who[lane].key);
      takes(step, split.firstOfArm(), way, lane);
    }
  }

  private void mark(int step, PlainStep.Mark mark, int[] some, int size) {
    for (int n = 0; n < size; n++) {
      int lane = some[n];
      lanes.labels[lane] = lanes.labels[lane] & ~mark.removes() | mark.adds();
      lanes.hadLabels[lane] |= mark.had();
    }
    goOn(step, mark.next(), some, size);
  }
}
