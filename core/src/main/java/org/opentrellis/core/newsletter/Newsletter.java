package org.opentrellis.core.newsletter;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Text;
import org.opentrellis.core.problem.Refused;

/**
 * One email to many people at a moment. What is not decided yet is empty: {@link NewsletterChecks}
 * say so.
 *
 * @param name not blank, at most 80 characters
 * @param message what they get
 * @param who gets it
 * @param butNot who of them does not
 * @param notInside nor do those who are inside one of these journeys when it goes out
 * @param going when it goes out
 * @param overHours over how many hours; 0 for all at once
 * @param subjects that are tried on some of them first
 * @param text what goes to their phones afterwards
 * @param onceMore whether it goes once more to those who did not open it
 * @param sender who it comes from, instead of the account's first sender
 */
public record Newsletter(
    String name,
    Optional<MessageId> message,
    Optional<Readers> who,
    Optional<Condition> butNot,
    List<JourneyName> notInside,
    Optional<Going> going,
    int overHours,
    Optional<SubjectTest> subjects,
    Optional<TextAfter> text,
    Optional<OnceMore> onceMore,
    Optional<String> sender) {
  /** Over so many hours it goes out at most. */
  public static final int MOST_HOURS = 12;

  public Newsletter {
    name = Text.named("a newsletter's name", name, 80);
    notInside = List.copyOf(new LinkedHashSet<>(notInside));
    within("the hours over which a newsletter goes out", overHours, 0, MOST_HOURS);
    sender = sender.map(from -> Text.named("a sender", from, 120));
    if (subjects.isPresent() && going.filter(Going::theirTime).isPresent()) {
      throw new Refused(
          "subjects are tried at one moment for all: choose a moment, not each person\u2019s own"
              + " time, or try no subjects");
    }
  }

  /** As it begins. */
  public static Newsletter begun(String name) {
    return new Newsletter(
        name,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of(),
        Optional.empty(),
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** The same under another name. */
  public Newsletter called(String other) {
    return new Newsletter(
        other, message, who, butNot, notInside, going, overHours, subjects, text, onceMore, sender);
  }

  /** The same at another time, or at none yet. */
  public Newsletter going(Optional<Going> other) {
    return new Newsletter(
        name, message, who, butNot, notInside, other, overHours, subjects, text, onceMore, sender);
  }

  /** The same for other people. */
  public Newsletter to(Readers other) {
    return new Newsletter(
        name,
        message,
        Optional.of(other),
        butNot,
        notInside,
        going,
        overHours,
        subjects,
        text,
        onceMore,
        sender);
  }

  /** The same with another message. */
  public Newsletter sending(MessageId other) {
    return new Newsletter(
        name,
        Optional.of(other),
        who,
        butNot,
        notInside,
        going,
        overHours,
        subjects,
        text,
        onceMore,
        sender);
  }

  /**
   * What must hold for those who get it, but for those inside of journeys; nothing if all do who
   * may be mailed.
   */
  public Optional<Condition> meant() {
    Stream<Condition> asked =
        Stream.concat(
            who.flatMap(Readers::asked).stream(),
            butNot.map(not -> new Condition.None(List.of(not))).stream());
    return asked.reduce((one, other) -> new Condition.All(List.of(one, other)));
  }

  static void within(String what, int value, int least, int most) {
    if (value < least || value > most) {
      throw new Refused("%s must be %d to %d, not %,d".formatted(what, least, most, value));
    }
  }
}
