package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.FrequencyGuard;

/** Whether a message goes out to somebody, and when at the earliest. */
final class SendRules {
  private SendRules() {}

  /**
   * Why a visit goes on without a message, or null if it does not. Asked at the moment at which the
   * message would leave, after window and guard have let it through.
   */
  static @Nullable SkipReason skips(Visit visit, Node.Send send) {
    if (send.text() && !visit.person.agreedToTexts) {
      return SkipReason.NO_CONSENT;
    }
    if (send.onlyIf() != null && !send.onlyIf().holds(visit, visit.now)) {
      return SkipReason.CONDITION;
    }
    if (send.once() && hadAll(visit, send)) {
      return SkipReason.HAD_BEFORE;
    }
    FrequencyGuard guard = visit.program.guard();
    boolean enough =
        guard != null
            && (!send.text() || guard.countsTexts())
            && guard.then() == FrequencyGuard.Then.SKIP
            && guardFreesAt(visit, guard) > visit.now;
    if (enough) {
      return SkipReason.FREQUENCY_GUARD;
    }
    Room room = room(visit, send);
    return room != null && room.skips() && room.freesAt(visit) > visit.now
        ? SkipReason.NO_ROOM
        : null;
  }

  /** What the account finds enough; null if that is nothing to this message. */
  private static @Nullable Room room(Visit visit, Node.Send send) {
    return send.text() ? null : visit.person.world.room();
  }

  /** Whether the person has had the message, or one of the variants, before. */
  private static boolean hadAll(Visit visit, Node.Send send) {
    int versions = Math.max(1, send.variants().length);
    for (int variant = 0; variant < versions; variant++) {
      if (visit.person.hadMessage(
          visit.program.message(visit.program.firstVersion(send.send()) + variant))) {
        return true;
      }
    }
    return false;
  }

  /** The first moment, not before now, at which window, guard and account let a message through. */
  static long readyAt(Visit visit, Node.Send send) {
    long ready = visit.now;
    FrequencyGuard guard = visit.program.guard();
    if (guard != null
        && (!send.text() || guard.countsTexts())
        && guard.then() == FrequencyGuard.Then.HOLD) {
      ready = Math.max(ready, guardFreesAt(visit, guard));
    }
    Room room = room(visit, send);
    if (room != null && !room.skips()) {
      ready = Math.max(ready, room.freesAt(visit));
    }
    SendWindow window = send.window();
    return window == null ? ready : window.atOrAfter(ready, visit.clock);
  }

  private static long guardFreesAt(Visit visit, FrequencyGuard guard) {
    long span = (long) guard.days() * ZoneClock.DAY;
    SendMemory sends = guard.countsTexts() ? visit.person.messages : visit.person.sends;
    int recent = sends.since(visit.now - span);
    return recent < guard.most() ? visit.now : sends.fromLast(guard.most()) + span;
  }
}
