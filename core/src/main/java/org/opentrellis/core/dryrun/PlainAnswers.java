package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PlainQuestion;

/** Answers what a plain journey asks about the one who goes through it. */
final class PlainAnswers {
  private final PlainLife life;

  PlainAnswers(PlainLife life) {
    this.life = life;
  }

  /** Whether it holds at a moment; something at exactly that moment counts. */
  boolean holds(PlainQuestion question, long at) {
    return switch (question) {
      case PlainQuestion.Fixed fixed -> fixed.answer();
      case PlainQuestion.Email email -> earliest(email, Long.MIN_VALUE) <= at;
      case PlainQuestion.Bought bought -> bought(bought) <= at;
      case PlainQuestion.Label label ->
          ((label.ever() ? life.hadLabels : life.labels) >>> label.label() & 1) != 0;
      case PlainQuestion.CameBy by ->
          life.trigger >= 0 && by.answers().length > 0 && by.answers()[life.trigger];
      case PlainQuestion.Combined combined -> holds(combined, at);
    };
  }

  private boolean holds(PlainQuestion.Combined combined, long at) {
    boolean all = combined.quantifier() == PlainQuestion.Quantifier.ALL;
    boolean any = combined.quantifier() == PlainQuestion.Quantifier.ANY;
    for (PlainQuestion part : combined.parts()) {
      if (holds(part, at) != all) {
        return any;
      }
    }
    return !any;
  }

  /** The first moment from one to another at which it holds, or {@link Person#NEVER}. */
  long firstHolds(PlainQuestion question, long from, long to) {
    long at = from;
    while (at <= to) {
      if (holds(question, at)) {
        return at;
      }
      at = nextChange(question, at);
    }
    return Person.NEVER;
  }

  /** The next moment after another when the answer may change. */
  private long nextChange(PlainQuestion question, long at) {
    return switch (question) {
      case PlainQuestion.Email email -> earliest(email, at);
      case PlainQuestion.Bought bought -> after(bought(bought), at);
      case PlainQuestion.Fixed fixed -> Person.NEVER;
      case PlainQuestion.Label label -> Person.NEVER;
      case PlainQuestion.CameBy by -> Person.NEVER;
      case PlainQuestion.Combined combined -> {
        long next = Person.NEVER;
        for (PlainQuestion part : combined.parts()) {
          next = Math.min(next, nextChange(part, at));
        }
        yield next;
      }
    };
  }

  private static long after(long moment, long at) {
    return moment > at ? moment : Person.NEVER;
  }

  /** When the first purchase that counts is made. */
  private long bought(PlainQuestion.Bought what) {
    for (int n = 0; n < life.purchases(); n++) {
      if (life.boughtAt(n) > life.entryAt && what.fits(life.offer(n), life.cents(n))) {
        return life.boughtAt(n);
      }
    }
    return Person.NEVER;
  }

  /** The first that happens to one of the emails that count, after a moment. */
  private long earliest(PlainQuestion.Email email, long after) {
    if (email.send() >= 0) {
      return after(moment(email, email.send()), after);
    }
    long first = Person.NEVER;
    for (int n = Math.max(0, life.sends - email.last()); n < life.sends; n++) {
      first = Math.min(first, after(moment(email, life.sendInOrder(n)), after));
    }
    return first;
  }

  private long moment(PlainQuestion.Email email, int send) {
    PlainMail mail = life.mails[send];
    long at = linkCounts(email, send, mail) ? happened(email.what(), mail) : Person.NEVER;
    if (email.within() == null || at == Person.NEVER) {
      return at;
    }
    return at > email.within().after(mail.sentAt, life.clock) ? Person.NEVER : at;
  }

  /** When something happened to an email. */
  static long happened(PlainQuestion.What what, PlainMail mail) {
    return switch (what) {
      case DELIVERED -> mail.deliveredAt;
      case BOUNCED -> mail.bouncedAt;
      case OPENED -> mail.recordedOpenAt;
      case OPENED_BY_PEOPLE -> mail.tracked ? mail.peopleOpenAt : Person.NEVER;
      case CLICKED -> mail.clickAt;
    };
  }

  private static boolean linkCounts(PlainQuestion.Email email, int send, PlainMail mail) {
    if (email.linkSlots() == null || email.what() != PlainQuestion.What.CLICKED) {
      return true;
    }
    int wanted = email.linkSlots()[send];
    return wanted >= 0 && wanted == mail.clickSlot;
  }
}
