package org.opentrellis.core.lived;

import java.util.HashSet;
import java.util.Set;
import java.util.function.Consumer;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;

/**
 * Passes on what happens in visits that began in one version of one journey, and nothing else: what
 * others did at steps that have changed since is not comparable.
 */
final class OnePlan implements Witness {
  private final JourneyName journey;
  private final int version;
  private final Witness inner;
  private final Consumer<Visit> entered;
  private final Set<Integer> begun = new HashSet<>();
  private int others;

  /**
   * @param entered is told of each of its visits as it begins
   */
  OnePlan(JourneyName journey, int version, Witness inner, Consumer<Visit> entered) {
    this.journey = journey;
    this.version = version;
    this.inner = inner;
    this.entered = entered;
  }

  /** The next person. */
  void next() {
    begun.clear();
  }

  /** Whether it is one of those of this person that are passed on. */
  boolean has(Visit visit) {
    return visit.program().name().equals(journey) && begun.contains(visit.number());
  }

  /** How many visits to the journey began in other versions, of all people. */
  int others() {
    return others;
  }

  @Override
  public Witness of(Program program) {
    return program.name().equals(journey) ? this : Witness.NOBODY;
  }

  /** What came back counts as such, even if somebody has read it all the same. */
  private boolean arrived(Sent message) {
    return has(message.visit()) && message.bouncedAt() == Person.NEVER;
  }

  private boolean isOurs(Program program) {
    return program.version() == version;
  }

  @Override
  public void begins(Visit visit) {
    if (isOurs(visit.program())) {
      begun.add(visit.number());
      entered.accept(visit);
      inner.begins(visit);
    } else {
      others++;
    }
  }

  @Override
  public void turnedAway(Program program, boolean byFilter, long at) {
    if (isOurs(program)) {
      inner.turnedAway(program, byFilter, at);
    }
  }

  @Override
  public void comesTo(Visit visit) {
    if (has(visit)) {
      inner.comesTo(visit);
    }
  }

  @Override
  public void entered(int step, Visit visit) {
    if (has(visit)) {
      inner.entered(step, visit);
    }
  }

  @Override
  public void held(int step, long seconds, Visit visit) {
    if (has(visit)) {
      inner.held(step, seconds, visit);
    }
  }

  @Override
  public void sent(int step, Sent message) {
    if (has(message.visit())) {
      inner.sent(step, message);
    }
  }

  /** Whoever reads a message has it, whatever a mail server says of it later. */
  @Override
  public void bounced(Sent message, long at) {
    boolean read =
        message.peopleOpenAt() != Person.NEVER
            || message.recordedOpenAt() != Person.NEVER
            || message.visit().unsubscribedBy(at) == message.send();
    if (has(message.visit()) && !read) {
      inner.bounced(message, at);
    }
  }

  @Override
  public void openRecorded(Sent message, long at) {
    if (arrived(message)) {
      inner.openRecorded(message, at);
    }
  }

  @Override
  public void opened(Sent message, long at) {
    if (arrived(message)) {
      inner.opened(message, at);
    }
  }

  @Override
  public void clicked(Sent message, int link, long at) {
    if (arrived(message)) {
      inner.clicked(message, link, at);
    }
  }

  @Override
  public void ordered(Sent message, long cents, long at) {
    if (arrived(message)) {
      inner.ordered(message, cents, at);
    }
  }

  @Override
  public void skipped(int step, SkipReason reason, Visit visit) {
    if (has(visit)) {
      inner.skipped(step, reason, visit);
    }
  }

  @Override
  public void passed(int step, Visit visit) {
    if (has(visit)) {
      inner.passed(step, visit);
    }
  }

  @Override
  public void took(int step, int way, Visit visit) {
    if (has(visit)) {
      inner.took(step, way, visit);
    }
  }

  @Override
  public void left(int step, LeaveReason reason, Visit visit) {
    if (has(visit)) {
      inner.left(step, reason, visit);
    }
  }

  @Override
  public void finished(int step, Visit visit) {
    if (has(visit)) {
      inner.finished(step, visit);
    }
  }

  @Override
  public void waiting(int step, Visit visit) {
    if (has(visit)) {
      inner.waiting(step, visit);
    }
  }
}
