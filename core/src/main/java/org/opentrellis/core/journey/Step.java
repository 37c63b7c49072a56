package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.problem.Refused;

/** One line of the run sheet: something that happens to a person, in order. */
public sealed interface Step
    permits Step.Send,
        Step.Wait,
        Step.Parting,
        Step.Change,
        Step.Include,
        Step.HandOver,
        Step.Notify,
        Step.Finish {

  StepId id();

  /** The shares, in percent, by which lots decide here; none where they do not. */
  default List<Double> lots() {
    return switch (this) {
      case SplitTest split -> split.arms().stream().map(SplitArm::percent).toList();
      case Send send -> send.versions().stream().map(Variant::percent).toList();
      case Branch branch -> List.of();
      case Wait wait -> List.of();
      case Change change -> List.of();
      case Include include -> List.of();
      case HandOver over -> List.of();
      case Notify notify -> List.of();
      case Finish finish -> List.of();
    };
  }

  /** The ways through this step, in order; none unless it parts the people. */
  default List<Way> ways() {
    return List.of();
  }

  /** This step with the steps of its ways replaced; {@code steps} go by the order of the ways. */
  default Step withWays(List<List<Step>> steps) {
    return this;
  }

  /** This step and every step inside it, in the order of the run sheet. */
  default Stream<Step> all() {
    List<Step> all = new ArrayList<>();
    collect(this, all);
    return all.stream();
  }

  private static void collect(Step step, List<Step> all) {
    all.add(step);
    step.ways().forEach(way -> way.steps().forEach(inside -> collect(inside, all)));
  }

  /** Every id that this step gives: its own, its variants' and its ways'. */
  default Stream<StepId> ids() {
    return Stream.concat(Stream.of(id()), ways().stream().map(Way::id));
  }

  /** The conditions that this step itself asks. */
  default List<Condition> conditions() {
    return List.of();
  }

  /** A step that sends a message. */
  sealed interface Send extends Step permits SendEmail, SendText {
    MessageId message();

    /** Who gets it; the others go on without. */
    Optional<Condition> onlyIf();

    /** Whether nobody gets the same message twice, in any journey. */
    boolean oncePerPerson();

    /** When it may go out; empty for the journey's window. */
    Optional<SendWindow> window();

    /** How it reaches people. */
    default Channel channel() {
      return switch (this) {
        case SendEmail email -> Channel.EMAIL;
        case SendText text -> Channel.TEXT;
      };
    }

    /** Whether opens of it are recorded; nobody can know of those of a text. */
    default boolean tracksOpens() {
      return switch (this) {
        case SendEmail email -> !email.untracked();
        case SendText text -> false;
      };
    }

    /** The versions that are sent by lot; none if there is but one. */
    default List<Variant> versions() {
      return switch (this) {
        case SendEmail email -> email.variants();
        case SendText text -> List.of();
      };
    }

    @Override
    default List<Condition> conditions() {
      return onlyIf().map(List::of).orElse(List.of());
    }
  }

  /**
   * Sends an email.
   *
   * @param subject a subject of its own for this send, instead of the message's
   * @param preview preview text of its own
   * @param sender a sender of its own
   * @param variants versions to test against each other, instead of the one message; or none
   * @param untracked whether opens are not recorded
   * @param linkParameters whether links carry campaign parameters (UTM)
   * @param window when it may go out, instead of the journey's window
   */
  record SendEmail(
      StepId id,
      MessageId message,
      Optional<String> subject,
      Optional<String> preview,
      Optional<String> sender,
      List<Variant> variants,
      Optional<Condition> onlyIf,
      boolean oncePerPerson,
      boolean untracked,
      boolean linkParameters,
      Optional<SendWindow> window)
      implements Send {
    public SendEmail {
      subject = subject.map(text -> Text.named("a subject", text, 200));
      preview = preview.map(text -> Text.named("a preview text", text, 200));
      sender = sender.map(text -> Text.named("a sender", text, 120));
      variants = List.copyOf(variants);
    }

    /** A plain email: no variants, to everybody, tracked. */
    public static SendEmail of(StepId id, MessageId message) {
      return new SendEmail(
          id,
          message,
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          List.of(),
          Optional.empty(),
          false,
          false,
          false,
          Optional.empty());
    }

    /** A copy to be changed. */
    public SendEmailEdit edit() {
      return new SendEmailEdit(this);
    }

    @Override
    public Stream<StepId> ids() {
      return Stream.concat(Stream.of(id), variants.stream().map(Variant::id));
    }
  }

  /**
   * Sends a text to the person's phone.
   *
   * @param window when it may go out, instead of the journey's window
   */
  record SendText(
      StepId id,
      MessageId message,
      Optional<Condition> onlyIf,
      boolean oncePerPerson,
      Optional<SendWindow> window)
      implements Send {}

  /** Lets time pass. */
  record Wait(StepId id, WaitRule rule) implements Step {
    @Override
    public List<Condition> conditions() {
      return rule.conditions();
    }
  }

  /** Parts the people. */
  sealed interface Parting extends Step permits Branch, SplitTest {
    @Override
    List<Way> ways();
  }

  /**
   * Parts the people: the first arm whose condition holds wins, then otherwise. After the arms
   * everyone who is still in the journey goes on with the step behind the branch.
   *
   * @param waitUpTo how long to wait for an arm to hold; empty to decide at once
   * @param arms in order; at least one
   * @param otherwise everyone else
   */
  record Branch(StepId id, Optional<Amount> waitUpTo, List<Arm> arms, Otherwise otherwise)
      implements Parting {
    public Branch {
      arms = List.copyOf(arms);
      if (arms.isEmpty()) {
        throw new Refused("branch " + id + " needs at least one arm");
      }
    }

    /** The arms in order, otherwise last. */
    @Override
    public List<Way> ways() {
      List<Way> ways = new ArrayList<>();
      arms.forEach(arm -> ways.add(new Way(arm.id(), arm.steps())));
      ways.add(new Way(otherwise.id(), otherwise.steps()));
      return ways;
    }

    @Override
    public Step withWays(List<List<Step>> steps) {
      List<Arm> changed = new ArrayList<>();
      for (Arm arm : arms) {
        changed.add(new Arm(arm.id(), arm.condition(), steps.get(changed.size())));
      }
      return new Branch(
          id, waitUpTo, changed, new Otherwise(otherwise.id(), steps.get(arms.size())));
    }

    @Override
    public List<Condition> conditions() {
      return arms.stream().map(Arm::condition).toList();
    }
  }

  /**
   * Parts the people by lot.
   *
   * @param arms at least two; their shares make 100%
   */
  record SplitTest(StepId id, List<SplitArm> arms) implements Parting {
    public SplitTest {
      arms = List.copyOf(arms);
      if (arms.size() < 2) {
        throw new Refused("split test " + id + " needs at least two arms");
      }
    }

    @Override
    public List<Way> ways() {
      return arms.stream().map(arm -> new Way(arm.id(), arm.steps())).toList();
    }

    @Override
    public Step withWays(List<List<Step>> steps) {
      List<SplitArm> changed = new ArrayList<>();
      for (SplitArm arm : arms) {
        changed.add(new SplitArm(arm.id(), arm.percent(), steps.get(changed.size())));
      }
      return new SplitTest(id, changed);
    }
  }

  /**
   * Changes the person's record.
   *
   * @param changes in order; at least one
   */
  record Change(StepId id, List<RecordChange> changes) implements Step {
    public Change {
      changes = List.copyOf(changes);
      if (changes.isEmpty()) {
        throw new Refused("change " + id + " changes nothing");
      }
    }
  }

  /** Goes through a strand, which several journeys share. */
  record Include(StepId id, StrandId strand) implements Step {}

  /**
   * Puts the person into another journey.
   *
   * @param thenFinish whether they leave this one
   */
  record HandOver(StepId id, JourneyName journey, boolean thenFinish) implements Step {}

  /** Tells somebody; the person notices nothing. */
  record Notify(StepId id, Notice notice) implements Step {}

  /** Ends the journey for whoever gets here. */
  record Finish(StepId id) implements Step {}
}
