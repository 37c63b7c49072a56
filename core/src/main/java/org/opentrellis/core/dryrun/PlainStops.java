package org.opentrellis.core.dryrun;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.PlainProgram;
import org.opentrellis.core.machine.PlainQuestion;
import org.opentrellis.core.machine.PlainStep;
import org.opentrellis.core.machine.Program;

/** The steps of a plain journey other than emails, and how all are put together. */
final class PlainStops {
  private PlainStops() {}

  /** All of a journey's, for one walk; the first of them. */
  static PlainStop of(PlainProgram plain, PlainWalk walk) {
    @Nullable PlainStop[] all = new PlainStop[plain.steps().size()];
    PlainAnswers answers = new PlainAnswers(walk);
    PlainStop first = null;
    for (int number = all.length - 1; number >= 0; number--) {
      first = of(number, plain, walk, answers, all);
      all[number] = first;
    }
    if (first == null) {
      throw new IllegalArgumentException("a journey without steps");
    }
    return first;
  }

  private static PlainStop of(
      int number,
      PlainProgram plain,
      PlainWalk walk,
      PlainAnswers answers,
      @Nullable PlainStop[] later) {
    JourneyTally tally = walk.tally;
    return switch (plain.steps().get(number)) {
      case PlainStep.Send send -> new PlainSend(number, send, plain, walk, at(send.next(), later));
      case PlainStep.Wait wait ->
          new Pause(number, tally, wait, at(wait.ifPast(), later), at(wait.next(), later));
      case PlainStep.WaitFor waits ->
          new LookOut(number, tally, waits, answers, at(waits.next(), later));
      case PlainStep.Ask ask -> {
        @Nullable PlainStop[] arms = arms(ask.firstOfArm(), later);
        yield ask.questions().size() == 1
                && ask.questions().get(0) instanceof PlainQuestion.Email email
                && email.isPlain()
            ? new AskOfOne(number, tally, ask, email.what(), walk.mails[email.send()], arms)
            : new Ask(number, tally, ask, answers, arms);
      }
      case PlainStep.Split split ->
          new Split(number, tally, split.shares(), arms(split.firstOfArm(), later));
      case PlainStep.Mark mark -> new Mark(number, tally, mark, at(mark.next(), later));
      case PlainStep.Pass pass -> new Pass(number, tally, at(pass.next(), later));
    };
  }

  private static @Nullable PlainStop at(int next, @Nullable PlainStop[] later) {
    return next == Program.NOWHERE ? null : later[next];
  }

  private static @Nullable PlainStop[] arms(int[] firstOfArm, @Nullable PlainStop[] later) {
    return Arrays.stream(firstOfArm).mapToObj(next -> at(next, later)).toArray(PlainStop[]::new);
  }

  private static final class Pause extends PlainStop {
    private final PlainStep.Wait wait;
    private final int days;
    private final long daySeconds;
    private final @Nullable PlainStop ifPast;
    private final @Nullable PlainStop next;

    Pause(
        int number,
        JourneyTally tally,
        PlainStep.Wait wait,
        @Nullable PlainStop ifPast,
        @Nullable PlainStop next) {
      super(number, tally);
      this.wait = wait;
      this.ifPast = ifPast;
      this.next = next;
      days = wait.days();
      daySeconds = (long) days * ZoneClock.DAY;
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      long now = walk.now;
      long later = now + daySeconds;
      if (days > 0
          && later <= walk.endsAt
          && later < walk.outAt
          && walk.clock.isSteady(now, later)) {
        staysDays(walk, days, later);
        return goOn(walk, next);
      }
      long until = days > 0 ? walk.clock.plusDays(now, days) : wait.ends().at(walk);
      if (until == PlainStep.Ends.PAST) {
        return goOn(walk, ifPast);
      }
      return stays(walk, until) ? goOn(walk, next) : null;
    }
  }

  private static final class LookOut extends PlainStop {
    private final PlainStep.WaitFor waits;
    private final PlainAnswers answers;
    private final @Nullable PlainStop next;

    LookOut(
        int number,
        JourneyTally tally,
        PlainStep.WaitFor waits,
        PlainAnswers answers,
        @Nullable PlainStop next) {
      super(number, tally);
      this.waits = waits;
      this.answers = answers;
      this.next = next;
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      long now = walk.now;
      long deadline = waits.atMost().at(walk);
      boolean goesOn =
          deadline <= now
              || answers.holds(waits.what(), now)
              || stays(walk, Math.min(deadline, answers.firstHolds(waits.what(), now, deadline)));
      return goesOn ? goOn(walk, next) : null;
    }
  }

  private static final class Ask extends PlainStop {
    private final PlainStep.Ask ask;
    private final PlainQuestion[] questions;
    private final PlainAnswers answers;
    private final @Nullable PlainStop[] arms;

    Ask(
        int number,
        JourneyTally tally,
        PlainStep.Ask ask,
        PlainAnswers answers,
        @Nullable PlainStop[] arms) {
      super(number, tally);
      this.ask = ask;
      this.answers = answers;
      this.arms = arms;
      questions = ask.questions().toArray(PlainQuestion[]::new);
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      long now = walk.now;
      int way = way(now);
      if (way < questions.length) {
        return takes(walk, way, arms);
      }
      long deadline = ask.atMost().at(walk);
      if (deadline <= now) {
        return takes(walk, way, arms);
      }
      long until = deadline;
      for (PlainQuestion question : questions) {
        until = Math.min(until, answers.firstHolds(question, now, until));
      }
      return stays(walk, until) ? takes(walk, way(until), arms) : null;
    }

    /** The first that holds at a moment; as many as there are if none does. */
    private int way(long at) {
      int way = 0;
      while (way < questions.length && !answers.holds(questions[way], at)) {
        way++;
      }
      return way;
    }
  }

  /** The usual question, quickly: whether something happened to one email. */
  private static final class AskOfOne extends PlainStop {
    private final PlainStep.Ask ask;
    private final PlainQuestion.What what;
    private final PlainMail mail;
    private final @Nullable PlainStop[] arms;

    AskOfOne(
        int number,
        JourneyTally tally,
        PlainStep.Ask ask,
        PlainQuestion.What what,
        PlainMail mail,
        @Nullable PlainStop[] arms) {
      super(number, tally);
      this.ask = ask;
      this.what = what;
      this.mail = mail;
      this.arms = arms;
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      long now = walk.now;
      long happens = PlainAnswers.happened(what, mail);
      if (happens > now) {
        long deadline = ask.atMost().at(walk);
        if (deadline > now && !stays(walk, Math.min(deadline, happens))) {
          return null;
        }
      }
      return takes(walk, happens <= walk.now ? 0 : 1, arms);
    }
  }

  private static final class Split extends PlainStop {
    private final double[] shares;
    private final @Nullable PlainStop[] arms;

    Split(int number, JourneyTally tally, double[] shares, @Nullable PlainStop[] arms) {
      super(number, tally);
      this.shares = shares;
      this.arms = arms;
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      return takes(walk, walk.sampler.lot(number, shares, walk.who.key), arms);
    }
  }

  private static final class Mark extends PlainStop {
    private final PlainStep.Mark mark;
    private final @Nullable PlainStop next;

    Mark(int number, JourneyTally tally, PlainStep.Mark mark, @Nullable PlainStop next) {
      super(number, tally);
      this.mark = mark;
      this.next = next;
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      walk.labels = walk.labels & ~mark.removes() | mark.adds();
      walk.hadLabels |= mark.had();
      return goOn(walk, next);
    }
  }

  private static final class Pass extends PlainStop {
    private final @Nullable PlainStop next;

    Pass(int number, JourneyTally tally, @Nullable PlainStop next) {
      super(number, tally);
      this.next = next;
    }

    @Override
    @Nullable PlainStop act(PlainWalk walk) {
      return goOn(walk, next);
    }
  }
}
