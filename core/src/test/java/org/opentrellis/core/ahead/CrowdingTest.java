package org.opentrellis.core.ahead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.BERLIN;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Who gets too much is counted as one would by hand. */
class CrowdingTest {
  private static final int PEOPLE = 60;
  private static final int COUNT = 10;
  private static final int DRAWS = 3;
  private static final int ENOUGH = 2;

  /** A Wednesday, so that the first and last weeks are shown in part. */
  private static final Days DAYS = new Days(LocalDate.of(2027, 3, 3), COUNT, BERLIN);

  private record Letter(int lane, int day, BitSet people) {}

  private static BitSet some(SplittableRandom random) {
    BitSet some = new BitSet();
    for (int one = 0; one < PEOPLE; one++) {
      some.set(one, random.nextInt(3) == 0);
    }
    return some;
  }

  /** A random account: newsletters, and what those inside get in each draw. */
  private static final class Account {
    final List<Letter> letters = new ArrayList<>();
    final BitSet inside;
    final Map<Integer, List<List<Crowding.Got>>> gets = new HashMap<>();

    Account(long seed) {
      SplittableRandom random = new SplittableRandom(seed);
      for (int lane = 0; lane < 6; lane++) {
        letters.add(new Letter(lane, random.nextInt(COUNT), some(random)));
      }
      inside = some(random);
      for (int one = inside.nextSetBit(0); one >= 0; one = inside.nextSetBit(one + 1)) {
        List<List<Crowding.Got>> draws = new ArrayList<>();
        for (int draw = 0; draw < DRAWS; draw++) {
          List<Crowding.Got> got = new ArrayList<>();
          for (int n = random.nextInt(4); n > 0; n--) {
            got.add(new Crowding.Got(6 + random.nextInt(3), random.nextInt(COUNT)));
          }
          draws.add(got);
        }
        gets.put(one, draws);
      }
    }

    Crowding crowding() {
      Crowding crowding = new Crowding(DAYS, inside, ENOUGH);
      letters.forEach(one -> crowding.newsletter(one.lane(), one.day(), one.people()));
      gets.forEach((one, draws) -> crowding.goesOn(one, 1, draws));
      return crowding;
    }

    /** How many emails somebody gets on a day in a draw. */
    int emails(int person, int day, int draw) {
      long letters =
          this.letters.stream().filter(one -> one.day() == day && one.people().get(person)).count();
      long got =
          gets.containsKey(person)
              ? gets.get(person).get(draw).stream().filter(one -> one.day() == day).count()
              : 0;
      return (int) (letters + got);
    }

    double crowded(int day) {
      double people = 0;
      for (int one = 0; one < PEOPLE; one++) {
        for (int draw = 0; draw < DRAWS; draw++) {
          people += emails(one, day, draw) > 1 ? 1.0 / DRAWS : 0;
        }
      }
      return people;
    }

    double full(LocalDate monday) {
      double people = 0;
      for (int one = 0; one < PEOPLE; one++) {
        for (int draw = 0; draw < DRAWS; draw++) {
          int sum = 0;
          for (int day = 0; day < COUNT; day++) {
            LocalDate date = DAYS.first().plusDays(day);
            boolean in = !date.isBefore(monday) && date.isBefore(monday.plusDays(7));
            sum += in ? emails(one, day, draw) : 0;
          }
          people += sum > ENOUGH ? 1.0 / DRAWS : 0;
        }
      }
      return people;
    }
  }

  @Test
  void daysAndWeeksAreCountedAsByHand() {
    double all = 0;
    for (long seed = 0; seed < 50; seed++) {
      Account account = new Account(seed);
      Crowding crowding = account.crowding();
      for (int day = 0; day < COUNT; day++) {
        assertThat(crowding.on(day).mean())
            .as("seed %d, day %d", seed, day)
            .isCloseTo(account.crowded(day), within(1e-9));
        all += crowding.on(day).mean();
      }
      assertThat(crowding.weeks()).isEqualTo(2);
      for (int week = 0; week < 2; week++) {
        assertThat(crowding.inWeek(week).mean())
            .isCloseTo(account.full(LocalDate.of(2027, 3, 1).plusWeeks(week)), within(1e-9));
      }
    }
    assertThat(all).isGreaterThan(100);
  }

  /** What a moved newsletter would do is what is counted once it has moved. */
  @Test
  void aMovedNewsletterIsTriedOnTheSamePeople() {
    for (long seed = 0; seed < 30; seed++) {
      Account account = new Account(seed);
      Crowding before = account.crowding();
      Letter letter = account.letters.getFirst();
      int to = (letter.day() + 3) % COUNT;
      account.letters.set(0, new Letter(letter.lane(), to, letter.people()));
      Crowding after = account.crowding();
      BitSet nobody = new BitSet();
      assertThat(before.onIf(letter.day(), letter.people(), nobody))
          .isCloseTo(after.on(letter.day()).mean(), within(1e-9));
      assertThat(before.onIf(to, nobody, letter.people()))
          .isCloseTo(after.on(to).mean(), within(1e-9));
    }
  }

  @Test
  void whichEmailsMeetIsSaid() {
    BitSet all = new BitSet();
    all.set(1, 31);
    BitSet few = new BitSet();
    few.set(20, 41);
    BitSet inside = new BitSet();
    inside.set(25);
    Crowding crowding = new Crowding(DAYS, inside, 5);
    crowding.newsletter(0, 4, all);
    crowding.newsletter(1, 4, few);
    crowding.goesOn(
        25, 2, List.of(List.of(new Crowding.Got(2, 4)), List.of(new Crowding.Got(2, 5))));
    assertThat(crowding.meetings(4))
        .containsExactly(
            // Ten people outside of journeys, and the one inside, who stands for two, each time.
            new Crowding.Meeting(0, 1, 12),
            new Crowding.Meeting(0, 2, 1),
            new Crowding.Meeting(1, 2, 1));
    assertThat(crowding.on(4).mean()).isEqualTo(12);
    assertThat(crowding.on(5).mean()).isZero();
  }
}
