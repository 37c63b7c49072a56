package org.opentrellis.core.machine;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;

/** Compiles conditions of one journey. */
final class Questions {
  private static final Question NEVER = new Question.Fixed(false);

  private final World world;
  private final Program program;
  private final Deque<SegmentName> inside = new ArrayDeque<>();

  Questions(World world, Program program) {
    this.world = world;
    this.program = program;
  }

  Question compile(Condition condition) {
    if (condition instanceof Condition.AboutEmail asked) {
      return aboutEmail(asked);
    }
    if (condition instanceof Condition.HasTag has) {
      return new Question.OnRecord(world.numberOfMark(has.tag()), false);
    }
    if (condition instanceof Condition.HadTag had) {
      return new Question.OnRecord(world.numberOfMark(had.tag()), true);
    }
    if (condition instanceof Condition.OnList on) {
      return new Question.OnRecord(world.numberOfMark(on.list()), false);
    }
    if (condition instanceof Condition.InSegment in) {
      return segment(in.segment());
    }
    if (condition instanceof Condition.Field field) {
      return new FieldQuestion(world.numberOf(field.field()), field.is(), field.values());
    }
    if (condition instanceof Condition.Bought bought) {
      return new Question.Bought(
          world.offers(bought.what()), World.leastCents(bought.what()), orNull(bought.within()));
    }
    if (condition instanceof Condition.Happened happened) {
      return new Question.Happened(
          world.numberOf(happened.event()), happened.atLeast(), orNull(happened.within()));
    }
    if (condition instanceof Condition.CameByJourney by) {
      int origin = world.numberOf(by.journey());
      return origin < 0 ? NEVER : new Question.CameBy(new boolean[0], origin);
    }
    if (condition instanceof Condition.CameByForm || condition instanceof Condition.CameByList) {
      return new Question.CameBy(meant(condition), -1);
    }
    return combined(condition);
  }

  private Question combined(Condition condition) {
    Question[] parts = condition.parts().stream().map(this::compile).toArray(Question[]::new);
    Question.Quantifier quantifier =
        condition instanceof Condition.All
            ? Question.Quantifier.ALL
            : condition instanceof Condition.Any
                ? Question.Quantifier.ANY
                : Question.Quantifier.NONE;
    return new Question.Combined(quantifier, parts);
  }

  /** A segment that asks about itself holds for nobody. */
  private Question segment(SegmentName name) {
    Optional<Segment> segment = world.catalogue().segment(name);
    if (segment.isEmpty() || inside.contains(name)) {
      return NEVER;
    }
    inside.push(name);
    Question who = compile(segment.get().who());
    inside.pop();
    return who;
  }

  private boolean[] meant(Condition condition) {
    List<Trigger> triggers = program.journey().triggers();
    boolean[] meant = new boolean[triggers.size()];
    for (int i = 0; i < meant.length; i++) {
      meant[i] = Triggers.isMeant(triggers.get(i), condition);
    }
    return meant;
  }

  private Question aboutEmail(Condition.AboutEmail asked) {
    int send = asked.step().map(program::sendOf).orElse(EmailQuestion.ANY);
    if (asked.step().isPresent() && send < 0) {
      return NEVER;
    }
    int last = asked.email() instanceof EmailRef.OfLast few ? few.count() : Integer.MAX_VALUE;
    if (asked instanceof Condition.Delivered) {
      return new EmailQuestion(EmailQuestion.What.DELIVERED, send, last, null, null);
    }
    if (asked instanceof Condition.Bounced) {
      return new EmailQuestion(EmailQuestion.What.BOUNCED, send, last, null, null);
    }
    if (asked instanceof Condition.Opened opened) {
      EmailQuestion.What what =
          opened.peopleOnly() ? EmailQuestion.What.OPENED_BY_PEOPLE : EmailQuestion.What.OPENED;
      return new EmailQuestion(what, send, last, null, orNull(opened.within()));
    }
    Condition.Clicked clicked = (Condition.Clicked) asked;
    int[] slots = clicked.link().map(link -> slots(link, send)).orElse(null);
    return new EmailQuestion(
        EmailQuestion.What.CLICKED, send, last, slots, orNull(clicked.within()));
  }

  /** The slots of a link in the sends that are asked about. */
  private int[] slots(LinkName link, int onlySend) {
    int[] slots = new int[program.sends().size()];
    for (int send = 0; send < slots.length; send++) {
      boolean asked = onlySend < 0 || onlySend == send;
      slots[send] = asked ? program.slotFor(send, link) : -1;
    }
    return slots;
  }

  private static @Nullable Amount orNull(Optional<Amount> amount) {
    return amount.orElse(null);
  }
}
