package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PlainQuestion;
import org.opentrellis.core.machine.Program;

/** Answers what a plain journey asks about one of some {@link Lanes}. */
final class LaneQuestions {
  private final Lanes lanes;
  private final Program program;

  LaneQuestions(Lanes lanes, Program program) {
    this.lanes = lanes;
    this.program = program;
  }

  /** Whether it holds at a moment; something at exactly that moment counts. */
  boolean holds(PlainQuestion question, int lane, long at) {
    return switch (question) {
      case PlainQuestion.Fixed fixed -> fixed.answer();
      case PlainQuestion.Email email -> earliest(email, lane, Long.MIN_VALUE) <= at;
      case PlainQuestion.Bought bought -> bought(bought, lane) <= at;
      case PlainQuestion.Label label ->
          ((label.ever() ? lanes.hadLabels[lane] : lanes.labels[lane]) >>> label.label() & 1) != 0;
      case PlainQuestion.CameBy by ->
          lanes.trigger[lane] >= 0 && by.answers().length > 0 && by.answers()[lanes.trigger[lane]];
      case PlainQuestion.Combined combined -> holds(combined, lane, at);
    };
  }

  private boolean holds(PlainQuestion.Combined combined, int lane, long at) {
    boolean all = combined.quantifier() == PlainQuestion.Quantifier.ALL;
    boolean any = combined.quantifier() == PlainQuestion.Quantifier.ANY;
    for (PlainQuestion part : combined.parts()) {
      if (holds(part, lane, at) != all) {
        return any;
      }
    }
    return !any;
  }

  /** The first moment from one to another at which it holds, or {@link Person#NEVER}. */
  long firstHolds(PlainQuestion question, int lane, long from, long to) {
    long at = from;
    while (at <= to) {
      if (holds(question, lane, at)) {
        return at;
      }
      at = nextChange(question, lane, at);
    }
    return Person.NEVER;
  }

  /** The next moment after another when the answer may change. */
  private long nextChange(PlainQuestion question, int lane, long at) {
    return switch (question) {
      case PlainQuestion.Email email -> earliest(email, lane, at);
      case PlainQuestion.Bought bought -> after(bought(bought, lane), at);
      case PlainQuestion.Fixed fixed -> Person.NEVER;
      case PlainQuestion.Label label -> Person.NEVER;
      case PlainQuestion.CameBy by -> Person.NEVER;
      case PlainQuestion.Combined combined -> {
        long next = Person.NEVER;
        for (PlainQuestion part : combined.parts()) {
          next = Math.min(next, nextChange(part, lane, at));
        }
        yield next;
      }
    };
  }

  private static long after(long moment, long at) {
    return moment > at ? moment : Person.NEVER;
  }

  /** When the first purchase that counts is made. */
  long bought(PlainQuestion.Bought what, int lane) {
    for (int n = 0; n < lanes.purchases[lane]; n++) {
      if (lanes.boughtAt[lane][n] > lanes.entryAt[lane]
          && what.fits(lanes.offers[lane][n], lanes.cents[lane][n])) {
        return lanes.boughtAt[lane][n];
      }
    }
    return Person.NEVER;
  }

  /** When it happened to the one email that is asked about. */
  long[] moments(PlainQuestion.Email email) {
    return happened(email.what(), email.send());
  }

  private long[] happened(PlainQuestion.What what, int send) {
    return switch (what) {
      case DELIVERED -> lanes.deliveredAt[send];
      case BOUNCED -> lanes.bouncedAt[send];
      case OPENED -> lanes.recordedOpenAt[send];
      case OPENED_BY_PEOPLE -> program.tracksOpens(send) ? lanes.peopleOpenAt[send] : lanes.never;
      case CLICKED -> lanes.clickAt[send];
    };
  }

  /** The first that happens to one of the emails that count, after a moment. */
  private long earliest(PlainQuestion.Email email, int lane, long after) {
    if (email.send() >= 0) {
      return after(moment(email, email.send(), lane), after);
    }
    long first = Person.NEVER;
    for (int n = Math.max(0, lanes.sends[lane] - email.last()); n < lanes.sends[lane]; n++) {
      first = Math.min(first, after(moment(email, lanes.order[n][lane], lane), after));
    }
    return first;
  }

  private long moment(PlainQuestion.Email email, int send, int lane) {
    long at =
        email.what() == PlainQuestion.What.CLICKED
            ? clicked(email, send, lane)
            : happened(email.what(), send)[lane];
    if (email.within() == null || at == Person.NEVER) {
      return at;
    }
    long limit = email.within().after(lanes.sentAt[send][lane], lanes.clock[lane]);
    return at > limit ? Person.NEVER : at;
  }

  private long clicked(PlainQuestion.Email email, int send, int lane) {
    long at = lanes.clickAt[send][lane];
    if (email.linkSlots() == null || at == Person.NEVER) {
      return at;
    }
    int wanted = email.linkSlots()[send];
    return wanted >= 0 && wanted == lanes.clickSlot[send][lane] ? at : Person.NEVER;
  }
}
