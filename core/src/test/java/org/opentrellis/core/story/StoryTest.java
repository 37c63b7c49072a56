package org.opentrellis.core.story;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.walk.Choices;
import org.opentrellis.core.walk.Reply;
import org.opentrellis.core.walk.Walk;

/** What a diary says, in somebody's own time. */
class StoryTest {
  private static final long HOUR = 3600;

  /** Monday 09:00 in Berlin; summer time begins there on Sunday 28 March. */
  private static final Instant START = Instant.parse("2027-03-22T08:00:00Z");

  private static List<String> story(Journey journey, Reply reply) {
    World world = World.compile(List.of(journey), MESSAGES, List.of());
    Person person = world.newPerson(ZoneClock.around(BERLIN, START, 100));
    person.comes(0, -1, START.getEpochSecond());
    Walk walk =
        new Walk(
            person,
            new Choices() {
              @Override
              public Reply to(int send, Visit visit) {
                return reply;
              }

              @Override
              public int lot(int step, int ways, Visit visit) {
                return 0;
              }
            });
    long end = START.getEpochSecond() + 60 * 24 * HOUR;
    walk.goOn(end);
    walk.close();
    return Story.of(world.programs().get(0), person, walk.diary().turns(), MESSAGES, end).stream()
        .map(line -> line.when() + " | " + line.sentence())
        .skip(1)
        .toList();
  }

  private static final Journey JOURNEY =
      journey(
          send("a"),
          pause("w", 7, TimeUnit.DAYS),
          branch("b", opened("a"), null, List.of(tag("t", "reader")), List.of(finish("f"))));

  @Test
  void aReaderGoesOneWayAndItIsSaidWhy() {
    assertThat(story(JOURNEY, Reply.opens(5 * HOUR)))
        .containsExactly(
            "Mon 22 Mar 09:00 | Gets the email \u201cHello\u201d.",
            "Mon 22 Mar 09:00 | Wait 7 days: until Mon 29 Mar 09:00.",
            "Mon 22 Mar 14:00 | Opens \u201cHello\u201d.",
            "Mon 29 Mar 09:00 | They opened \u201cHello\u201d on Mon 22 Mar 14:00, so arm A.",
            "Mon 29 Mar 09:00 | Tag reader.",
            "Mon 29 Mar 09:00 | Is through: the journey ends here.");
  }

  @Test
  void theOthersGoTheOtherWayAndSoDoesWhoOpensTooLate() {
    assertThat(story(JOURNEY, Reply.ignores()))
        .contains(
            "Mon 29 Mar 09:00 | By Mon 29 Mar 09:00 it was not so that they opened"
                + " \u201cHello\u201d, so arm B.");
    assertThat(story(JOURNEY, Reply.opens(8 * 24 * HOUR)))
        .contains(
            "Mon 29 Mar 09:00 | By Mon 29 Mar 09:00 it was not so that they opened"
                + " \u201cHello\u201d (that came on Tue 30 Mar 10:00), so arm B.");
  }

  @Test
  void whatDoesNotGoOutSaysWhy() {
    Journey journey =
        journey(
            send("a"),
            send("again")
                .edit()
                .onlyIf(Optional.of(new Condition.None(List.of(opened("a")))))
                .done());
    assertThat(story(journey, Reply.opens(1)))
        .contains("Mon 22 Mar 09:00 | Gets the email \u201cHello\u201d.");
    Journey once =
        journey(
            send("a").edit().oncePerPerson(true).done(),
            send("b").edit().oncePerPerson(true).done());
    assertThat(story(once, Reply.ignores()))
        .contains("Mon 22 Mar 09:00 | Goes on without it: they have had this message before.");
  }

  @Test
  void whoUnsubscribesLeavesThen() {
    OptionalLong never = OptionalLong.empty();
    OptionalLong soon = OptionalLong.of(HOUR);
    Reply reply =
        new Reply(
            true, false, never, soon, never, -1, OptionalLong.of(2 * HOUR), never, never, -1, 0);
    assertThat(story(JOURNEY, reply))
        .endsWith(
            "Mon 22 Mar 11:00 | Unsubscribes.",
            "Mon 22 Mar 11:00 | Leaves the journey: they have unsubscribed.");
  }
}
