package org.opentrellis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Renaming;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.Strands;

/** A strand is made of rows, and nothing else changes by it. */
class GatheringTest {
  private static final Journey JOURNEY =
      journey(
          Optional.of(new Goal(openedByPeople("b"), 20, true)),
          send("a"),
          pause("w", 1, TimeUnit.DAYS),
          send("b"),
          branch("q", openedByPeople("b"), null, List.of(tag("t", "reader")), List.of(send("c"))),
          branch("r", openedByPeople("b"), null, List.of(send("d")), List.of()));

  private static Arranged gather(String... rows) {
    return new Gathering(JOURNEY, MESSAGES).gather(Set.of(rows), "Spring work");
  }

  @Test
  void theJourneyGoesThroughTheStrandInThePlaceOfItsSteps() {
    Arranged.Gathered gathered = (Arranged.Gathered) gather("w", "q");
    assertThat(gathered.strand().id()).isEqualTo(new StrandId("spring-work"));
    assertThat(gathered.strand().body()).isEqualTo(JOURNEY.body().subList(1, 4));
    assertThat(gathered.journey().body()).hasSize(3);
    assertThat(gathered.journey().body().get(1)).isInstanceOf(Step.Include.class);
    assertThat(gathered.journey().goal().orElseThrow().what())
        .isEqualTo(openedByPeople("strand-1/b"));
    assertThat(gathered.journey().body().get(2).conditions())
        .containsExactly(openedByPeople("strand-1/b"));
  }

  /** With its steps in place it is the journey of before, but for what they are called. */
  @Test
  void peopleNoticeNothing() {
    Arranged.Gathered gathered = (Arranged.Gathered) gather("w", "q");
    Journey whole = Strands.expand(gathered.journey(), MESSAGES.with(gathered.strand()));
    Renaming asBefore = new Renaming(id -> new StepId(id.value().replaceFirst("^strand-1/", "")));
    assertThat(
            asBefore.steps(
                whole.body().stream().filter(step -> !(step instanceof Step.Include)).toList()))
        .isEqualTo(JOURNEY.body());
    assertThat(asBefore.condition(whole.goal().orElseThrow().what()))
        .isEqualTo(JOURNEY.goal().orElseThrow().what());
  }

  @Test
  void whatAsksAboutOtherRowsIsRefused() {
    assertThat(((Arranged.Refused) gather("q")).why())
        .contains("asks about an email that is sent outside these rows");
    assertThat(((Arranged.Refused) gather("gone")).why()).contains("not in the journey any more");
    assertThat(((Arranged.Refused) gather("x/y")).why()).contains("belong to a strand already");
  }

  @Test
  void aNameThatIsTakenGetsAnIdOfItsOwn() {
    Catalogue taken = MESSAGES.with(new Strand(new StrandId("spring-work"), "Spring", List.of()));
    Arranged gathered = new Gathering(JOURNEY, taken).gather(Set.of("a"), "Spring work");
    assertThat(((Arranged.Gathered) gathered).strand().id())
        .isEqualTo(new StrandId("spring-work-2"));
    Arranged nameless = new Gathering(JOURNEY, taken).gather(Set.of("a"), "\u00c4\u00d6");
    assertThat(((Arranged.Gathered) nameless).strand().id()).isEqualTo(new StrandId("strand"));
  }
}
