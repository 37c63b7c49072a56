package org.opentrellis.core.replay;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;

/**
 * Drives one person with what really happens to them, as it becomes known.
 *
 * <ul>
 *   <li>What is told <b>late</b> counts with its own time for every question that asks when it
 *       happened, and acts now: nothing that it brings about is dated before the present, and what
 *       has been decided stays so.
 *   <li>What is told <b>twice</b> happened once: two equal happenings are the same one.
 *   <li>Whoever <b>clicks</b> has read it, whether or not their program loaded the picture that
 *       tells.
 *   <li>What is <b>unknown</b>, such as a message that never went out or a journey that is not
 *       here, changes nothing. A tag, list or field of which no journey here knows is kept all the
 *       same.
 * </ul>
 */
public final class Replay {

  /** What became of a happening that was told. */
  public enum Noted {
    NEW,
    TWICE,
    UNKNOWN
  }

  /** Says which way a lot fell. */
  @FunctionalInterface
  public interface Lots {
    /**
     * @param step the node of a split test or of an email with variants
     * @param ways their shares of 1, added up; the last is 1
     * @return which, from 0
     */
    int way(int step, double[] ways, Visit visit);
  }

  /** Is told of each message at the moment at which it goes out. */
  @FunctionalInterface
  public interface Mail {
    void goesOut(MessageRef message, long at);
  }

  private final Lots lots;
  private final Mail mail;
  private final Witness witness;
  private final JourneyMachine machine;
  private final Set<Happening> seen = new HashSet<>();
  private Person person;

  /**
   * @param person with their record, and with the visits that they are in
   */
  public Replay(Person person, Lots lots, Mail mail, Witness witness) {
    this.person = person;
    this.lots = lots;
    this.mail = mail;
    this.witness = witness;
    this.machine = new JourneyMachine(new Recorded(), witness);
    machine.takeUp(person);
  }

  public Person person() {
    return person;
  }

  /** Goes on with the same person, as they were put down and taken up again. */
  public void person(Person again) {
    List<Visit> before = person.visits();
    for (int n = 0; n < Math.min(before.size(), again.visits().size()); n++) {
      again.visit(n).isCountedLike(before.get(n));
    }
    again.endsAt(person.endsAt());
    person = again;
    machine.takeUp(again);
  }

  /** When something is due next, as far as is known, or {@link Person#NEVER}. */
  public long nextAt() {
    return machine.nextAt(person);
  }

  /** Lets time pass while somebody is there to do each thing when it is due. */
  public void passes(long to) {
    machine.run(person, to);
  }

  /** The present has come; what was due meanwhile, when nobody was there to do it, is done now. */
  public void advance(long now) {
    machine.advance(person, now);
  }

  /** Tells of one happening at its own moment. */
  public Noted takes(Happening happening) {
    return takes(List.of(happening), happening.at()).get(0);
  }

  /**
   * Tells of what has happened up to the present, in the order in which it happened, and does what
   * is due.
   *
   * @param now epoch seconds; none of it lies after it
   * @return what became of each, in the order of their times
   */
  public List<Noted> takes(Collection<? extends Happening> happenings, long now) {
    return takes(happenings, List.of(), now);
  }

  /**
   * The same.
   *
   * @param quietly what changes the person and brings them nowhere, as when a table is brought in
   */
  public List<Noted> takes(
      Collection<? extends Happening> happenings,
      Collection<? extends Happening> quietly,
      long now) {
    List<Happening> inOrder = inOrder(happenings, now);
    List<Happening> quiet = inOrder(quietly, now);
    person.comesTo(now);
    if (!quiet.isEmpty()) {
      person.startsNothing(() -> quiet.forEach(this::note));
    }
    List<Noted> noted = inOrder.stream().map(one -> note(one)).toList();
    machine.advance(person, now);
    return noted;
  }

  private static List<Happening> inOrder(Collection<? extends Happening> happenings, long now) {
    List<Happening> inOrder = new ArrayList<>(happenings);
    inOrder.sort(Comparator.comparingLong(Happening::at));
    if (!inOrder.isEmpty() && inOrder.get(inOrder.size() - 1).at() > now) {
      throw new IllegalArgumentException(
          "what lies ahead of %d has not happened yet: %s"
              .formatted(now, inOrder.get(inOrder.size() - 1)));
    }
    return inOrder;
  }

  /** Notes what becomes of a message at the moment at which it goes out; does nothing yet. */
  public Noted notes(Happening.OfMessage happening) {
    return note(happening);
  }

  /**
   * What is open has changed, and the person goes on in another world.
   *
   * @param along the journey whose visits go on in the version that people enter now, if any
   * @param now epoch seconds
   */
  public void goesOnIn(World world, Optional<JourneyName> along, long now) {
    person.comesTo(now);
    if (along.isPresent()) {
      takeAlong(world, along.get());
    } else {
      goOnIn(world);
    }
  }

  /** What lets messages out has changed: those that wait for it look again now. */
  public void looksAgain() {
    machine.looksAgain(person);
  }

  /** A journey is stopped: the person leaves it now, if they are in it. */
  public void stops(JourneyName journey, long now) {
    person.comesTo(now);
    takeOut(journey, LeaveReason.STOPPED);
  }

  /** Writes down who is still where. */
  public void close() {
    machine.close(person);
  }

  private Noted note(Happening happening) {
    if (seen.contains(happening)) {
      return Noted.TWICE;
    }
    boolean known = isNoted(happening);
    if (known) {
      seen.add(happening);
    }
    return known ? Noted.NEW : Noted.UNKNOWN;
  }

  private boolean isNoted(Happening happening) {
    long at = happening.at();
    return switch (happening) {
      case Happening.OfMessage of -> noteMessage(of);
      case Happening.Joined joined -> label(joined.list(), true, at);
      case Happening.LeftList left -> label(left.list(), false, at);
      case Happening.Tagged tagged -> label(tagged.tag(), true, at);
      case Happening.Untagged untagged -> label(untagged.tag(), false, at);
      case Happening.FieldChanged changed -> {
        person.changesField(changed.field(), changed.value().orElse(null), at);
        yield true;
      }
      case Happening.FormSubmitted form -> {
        form.values().forEach((field, value) -> person.changesField(field, value, at));
        person.submits(form.form(), at);
        yield true;
      }
      case Happening.Moved moved -> {
        person(
            Standing.thaw(Standing.freeze(person).in(moved.zone()), person.world(), this::clock));
        yield true;
      }
      case Happening.CartChanged cart -> {
        long cents = cart.lines().stream().mapToLong(line -> line.price().cents()).sum();
        person.changesCart(at, offers(cart.lines()), cents);
        yield true;
      }
      case Happening.Ordered ordered -> order(ordered);
      case Happening.EventArrived event -> {
        OptionalInt number = person.world().event(event.event());
        number.ifPresent(known -> person.experiences(at, known, event.payload()));
        yield number.isPresent();
      }
      case Happening.ConsentGiven given -> consents(given);
      case Happening.ConsentWithdrawn withdrawn -> withdraws(withdrawn);
      case Happening.Complained complained -> {
        person.complains(at);
        yield true;
      }
      case Happening.Erased erased -> {
        person.isErased(at);
        yield true;
      }
      case Happening.Came came -> comes(came);
      case Happening.PutIn in -> putIn(in);
      case Happening.TakenOut out -> takeOut(out.journey(), LeaveReason.TAKEN_OUT);
      case Happening.PutForward on -> putForward(on.journey());
      case Happening.Published published -> publish(published);
      case Happening.Closed closed -> close(closed.journey());
      case Happening.Stopped stopped -> {
        takeOut(stopped.journey(), LeaveReason.STOPPED);
        yield close(stopped.journey());
      }
    };
  }

  private boolean label(Name tagOrList, boolean on, long at) {
    person.changesLabel(tagOrList, on, at);
    return true;
  }

  private boolean order(Happening.Ordered ordered) {
    int[] offers = offers(ordered.lines());
    int[] bought = offers.length == 0 ? new int[] {-1} : offers;
    Sent because = ordered.becauseOf().map(this::sent).orElse(null);
    if (because == null) {
      person.orders(ordered.at(), bought, ordered.total().cents());
    } else {
      because.orders(ordered.at(), bought, ordered.total().cents());
    }
    return true;
  }

  private int[] offers(List<Line> lines) {
    return lines.stream().map(Line::product).mapToInt(person.world()::offer).toArray();
  }

  private boolean consents(Happening.ConsentGiven given) {
    switch (given.channel()) {
      case EMAIL -> machine.comesBack(person, given.at());
      case TEXT -> person.agreesToTexts(true);
    }
    return true;
  }

  private boolean withdraws(Happening.ConsentWithdrawn withdrawn) {
    switch (withdrawn.channel()) {
      case EMAIL -> {
        Sent because = withdrawn.becauseOf().map(this::sent).orElse(null);
        if (because == null) {
          person.unsubscribes(withdrawn.at());
        } else {
          because.unsubscribes(withdrawn.at());
        }
      }
      case TEXT -> person.agreesToTexts(false);
    }
    return true;
  }

  private boolean comes(Happening.Came came) {
    Optional<Program> program = person.world().current(came.journey());
    int trigger = program.map(one -> one.positionOf(came.by())).orElse(-1);
    if (trigger >= 0) {
      person.comes(program.orElseThrow().number(), trigger, came.at());
    }
    return trigger >= 0;
  }

  private boolean putIn(Happening.PutIn in) {
    Optional<Program> program = person.world().current(in.journey());
    program.ifPresent(to -> person.comes(to.number(), to.positionOf(new Trigger.PutIn()), in.at()));
    return program.isPresent();
  }

  private boolean takeOut(JourneyName journey, LeaveReason reason) {
    Optional<Program> program = person.world().current(journey);
    program.ifPresent(from -> machine.takeOut(person, from.number(), reason));
    return program.isPresent();
  }

  private boolean putForward(JourneyName journey) {
    Optional<Program> program = person.world().current(journey);
    program.ifPresent(in -> machine.putForward(person, in.number()));
    return program.isPresent();
  }

  private boolean close(JourneyName journey) {
    boolean known = person.world().current(journey).isPresent();
    goOnIn(person.world().close(journey));
    return known;
  }

  private boolean publish(Happening.Published published) {
    World before = person.world();
    World after = before.publish(published.journey(), published.version(), before.catalogue());
    if (published.takesAlong()) {
      takeAlong(after, published.journey().journeyName());
    } else {
      goOnIn(after);
    }
    return true;
  }

  private void takeAlong(World after, JourneyName journey) {
    PersonState moved = Standing.movedOn(Standing.freeze(person), after, journey);
    List<Visit> inside = person.visits().stream().filter(visit -> !visit.over()).toList();
    List<Integer> places = inside.stream().map(person.visits()::indexOf).toList();
    person(Standing.thaw(moved, after, this::clock));
    places.stream()
        .map(person::visit)
        .filter(Visit::over)
        .forEach(visit -> witness.of(visit.program()).finished(Program.NOWHERE, visit));
  }

  private void goOnIn(World world) {
    person(Standing.thaw(Standing.freeze(person), world, this::clock));
  }

  private ZoneClock clock(ZoneId zone) {
    return zone.equals(person.clock().zone()) ? person.clock() : person.clock().in(zone);
  }

  private boolean noteMessage(Happening.OfMessage happening) {
    Sent message = sent(happening.message());
    if (message == null) {
      return false;
    }
    long at = happening.at();
    switch (happening) {
      case Happening.Delivered delivered -> message.delivered(at);
      case Happening.Bounced bounced -> {
        message.bounced(at);
        if (bounced.forGood()) {
          person.bouncesForGood(at);
        }
      }
      case Happening.OpenRecorded open -> message.recordsOpen(at);
      case Happening.Opened open -> message.opens(at);
      case Happening.Clicked clicked -> {
        message.opens(at);
        message.clicks(clicked.link().map(message::numberOf).orElse(-1), at);
      }
    }
    return true;
  }

  /** The message, if it has gone out. */
  private @Nullable Sent sent(MessageRef message) {
    for (Visit visit : person.visits()) {
      if (visit.program().name().equals(message.journey()) && visit.number() == message.visit()) {
        int send = visit.program().sendOf(message.step());
        return send < 0 || visit.sent(send).at() == Person.NEVER ? null : visit.sent(send);
      }
    }
    return null;
  }

  private final class Recorded implements Outside {
    @Override
    public int lot(int step, double[] ways, Visit visit) {
      return lots.way(step, ways, visit);
    }

    @Override
    public void send(Sent sent) {
      Visit visit = sent.visit();
      StepId step = visit.program().sends().get(sent.send()).id();
      mail.goesOut(new MessageRef(visit.program().name(), visit.number(), step), visit.now());
    }
  }
}
