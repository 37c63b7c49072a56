package org.opentrellis.core.machine;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Trigger;

/** Connects what happens in one journey with the triggers of all. */
final class Triggers {
  private Triggers() {}

  /** Gives numbers to what the triggers name. */
  static void number(Journey journey, int program, World world) {
    List<Trigger> triggers = journey.triggers();
    for (int i = 0; i < triggers.size(); i++) {
      Trigger trigger = triggers.get(i);
      int mark = mark(trigger, world);
      if (mark >= 0) {
        world.reactions().mark(mark, program, i);
      } else if (trigger instanceof Trigger.Buys buys) {
        Question.Bought what =
            new Question.Bought(world.offers(buys.what()), World.leastCents(buys.what()), null);
        world.reactions().purchase(what, program, i);
      } else if (trigger instanceof Trigger.EventArrives arrives) {
        world.reactions().event(world.numberOf(arrives.event()), program, i);
      } else if (trigger instanceof Trigger.OpensMessage opens) {
        world.reactions().message(world.numberOf(opens.message()), false, -1, program, i);
      } else if (trigger instanceof Trigger.ClicksMessage clicks) {
        world
            .reactions()
            .message(world.numberOf(clicks.message()), true, link(clicks, world), program, i);
      } else if (trigger instanceof Trigger.DateComes date) {
        world.numberOf(date.field());
      }
    }
  }

  /** The tag or list that a trigger waits for, or -1. */
  static int mark(Trigger trigger, World world) {
    if (trigger instanceof Trigger.JoinsList joins) {
      return world.numberOfMark(joins.list());
    }
    return trigger instanceof Trigger.GetsTag gets ? world.numberOfMark(gets.tag()) : -1;
  }

  /** Connects the triggers that need conditions compiled. */
  static void connect(Journey journey, int program, World world, Questions questions) {
    List<Trigger> triggers = journey.triggers();
    for (int i = 0; i < triggers.size(); i++) {
      if (triggers.get(i) instanceof Trigger.EntersSegment enters) {
        Optional<Segment> segment = world.catalogue().segment(enters.segment());
        int trigger = i;
        segment.ifPresent(
            s -> world.reactions().segment(questions.compile(s.who()), program, trigger));
      }
    }
  }

  /** The link's number in its message; one that is not there is never clicked. */
  private static int link(Trigger.ClicksMessage clicks, World world) {
    if (clicks.link().isEmpty()) {
      return -1;
    }
    int number =
        world
            .catalogue()
            .message(clicks.message())
            .map(Message::links)
            .orElse(List.of())
            .indexOf(clicks.link().get());
    return number < 0 ? Integer.MAX_VALUE : number;
  }

  /** Whether a trigger is the one that a condition on the way of coming means. */
  static boolean isMeant(Trigger trigger, Condition condition) {
    if (condition instanceof Condition.CameByForm by) {
      return trigger instanceof Trigger.SubmitsForm submits
          && submits.form().map(by.form()::equals).orElse(false);
    }
    return condition instanceof Condition.CameByList by
        && trigger instanceof Trigger.JoinsList joins
        && joins.list().equals(by.list());
  }
}
