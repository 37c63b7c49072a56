package org.opentrellis.core.testing;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.OnceMore;
import org.opentrellis.core.newsletter.Readers;
import org.opentrellis.core.newsletter.SubjectTest;
import org.opentrellis.core.newsletter.TextAfter;

/** Newsletters of all kinds, to try promises on. */
public final class RandomNewsletters {
  private RandomNewsletters() {}

  /**
   * The same seed gives the same newsletter, ready to go.
   *
   * @param email one of the catalogue's
   * @param text one of the catalogue's
   */
  public static Newsletter of(long seed, LocalDate day, MessageId email, MessageId text) {
    SplittableRandom random = new SplittableRandom(seed);
    boolean tries = random.nextInt(2) == 0;
    boolean theirTime = !tries && random.nextInt(3) == 0;
    return new Newsletter(
        "Newsletter " + seed,
        Optional.of(email),
        Optional.of(
            random.nextInt(4) == 0
                ? new Readers.Those(
                    new Condition.None(List.of(new Condition.HasTag(new TagName("never")))))
                : new Readers.Everybody()),
        some(random, 3, new Condition.HasTag(new TagName("not me"))),
        List.of(),
        Optional.of(new Going(day, LocalTime.of(6 + random.nextInt(14), 0), theirTime)),
        random.nextInt(3) == 0 ? 1 + random.nextInt(Newsletter.MOST_HOURS) : 0,
        tries ? Optional.of(subjects(random)) : Optional.empty(),
        some(
            random,
            2,
            new TextAfter(
                Optional.of(text),
                1 + random.nextInt(72),
                TextAfter.To.values()[random.nextInt(TextAfter.To.values().length)])),
        some(random, 2, new OnceMore("Once more, " + seed, 1 + random.nextInt(96))),
        Optional.empty());
  }

  private static SubjectTest subjects(SplittableRandom random) {
    return new SubjectTest(
        IntStream.rangeClosed(1, 1 + random.nextInt(3)).mapToObj(n -> "Subject " + n).toList(),
        10 + random.nextInt(41),
        SubjectTest.By.values()[random.nextInt(2)],
        1 + random.nextInt(24));
  }

  private static <T> Optional<T> some(SplittableRandom random, int oneOf, T what) {
    return random.nextInt(oneOf) == 0 ? Optional.of(what) : Optional.empty();
  }
}
