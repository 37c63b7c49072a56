package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.sentence.Phrase;

/** Sentences as people type them. */
class ReaderTest {
  private static final Catalogue MESSAGES =
      Catalogue.of(
          List.of(
              Message.email("planner", "Hive planner", "Your planner", "Open the planner"),
              Message.email("kits", "Choosing a kit", "Which kit?", "Hive kits")));

  private static final Journey JOURNEY =
      journey(
          Step.SendEmail.of(new StepId("first"), new MessageId("planner")),
          tag("t", "new keeper"),
          branch("b", opened("first"), null, List.of(tag("in", "reader")), List.of()),
          Step.SendEmail.of(new StepId("second"), new MessageId("kits")));

  private static Reading add(String below, String text) {
    return new Reader(
            JOURNEY,
            MESSAGES,
            List.of("Season"),
            KnownNames.in(List.of(JOURNEY)),
            LocalDate.of(2026, 11, 29))
        .add(below, text, text.length());
  }

  private static String understood(Reading reading) {
    assertThat(reading.result()).isInstanceOf(Reading.Understood.class);
    Reading.Understood result = (Reading.Understood) reading.result();
    return String.join(" ", result.sentences().stream().map(Phrase::text).toList());
  }

  private static Reading.Refused refused(Reading reading) {
    assertThat(reading.result()).isInstanceOf(Reading.Refused.class);
    return (Reading.Refused) reading.result();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "wait 2 days 9:00|Wait 2 days, then until 09:00 their time",
        "wait 2d until 9:00 on tue-sat|Wait 2 days, then until 09:00 on Tue to Sat their time",
        "wait a week|Wait 1 week",
        "wait until 18:30|Wait until 18:30 their time",
        "wait until day 3 09:00|Wait until day 3, 09:00 of the journey",
        "wait until 2027-03-01 08:00|Wait until 2027-03-01 08:00",
        "wait until they click it, at most 3 days|Wait until they clicked \u201cChoosing a kit\u201d, at most 3 days",
        "send hive planner|Send Hive planner",
        "email choosing a kit if not opened|Send Choosing a kit, only if they have not opened the 1st \u201cChoosing a kit\u201d",
        "branch clicked Hive kits within 2 days|Branch on clicked \u201cHive kits\u201d in \u201cChoosing a kit\u201d, waiting up to 2 days",
        "branch opened hive planner or tag reader|Branch on opened \u201cHive planner\u201d or have tag reader",
        "tag buyer|Tag buyer",
        "tag buyer, add to list Members and unsubscribe|Tag buyer, add to list Members, unsubscribe them",
        "split 50/30/20|Split by lot 50% / 30% / 20%",
        "hand over to season, and finish here|Hand over to journey Season, and finish here",
        "tell Ada: call them|Tell Ada: \u201ccall them\u201d",
        "finish|Finish the journey",
        "goal bought something from Hives within 14 days|Goal: bought something from Hives within 14 days, leave when met",
        "secondary goal had event course booked with level is \u201cbeginner\u201d with seats at least 2 within 60 days|Secondary goal: had event course booked with level equal to \u201cbeginner\u201d with seats at least 2 within 60 days",
        "branch has in the cart something from Hives for at least 100|Branch on have in the cart something from Hives for at least 100.00",
        "branch they do not have in the cart Hive kit|Branch on do not have in the cart Hive kit",
        "branch came by an order of Hive kit|Branch on came by an order of Hive kit",
        "starts only when someone has event course booked with level contains \u201cbegin\u201d|Starts when someone has event course booked with level contains \u201cbegin\u201d, once per person",
        "starts only when someone submits form Planner, once per person|Starts when someone submits form Planner, once per person",
        "leave when they bought anything|Leave as soon as they bought anything",
        "send only Mon to Fri 08:00 to 18:00|Send only Mon to Fri 08:00 to 18:00",
        "at most 3 emails in 7 days|At most 3 emails in 7 days from all journeys; one too many waits",
      })
  void sentencesAreReadAsTheyAreMeant(String typed, String meant) {
    assertThat(understood(add("second", typed))).isEqualTo(meant);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "wait 2 dayz|7|11|\u201cdayz\u201d is not understood here.",
        "wait 0 days|5|11|An amount of time must be more than 0, not 0.0.",
        "wait 20 years|5|13|An amount of time must be at most ten years.",
        "snd hive planner|0|3|\u201csnd\u201d is not understood here.",
        "wait until 2027-02-30 08:00|11|21|There is no such time or day.",
        "send \u201chive planner|5|18|The quotation that begins here has no end.",
        "branch|6|6|The sentence is not finished: here could stand",
        "all times are in Bee/Hive|17|25|There is no time zone \u201cBee/Hive\u201d.",
        "finish now|7|10|\u201cnow\u201d is not understood here.",
      })
  void whatIsWrongIsToldAtItsPlace(String typed, int from, int to, String why) {
    Reading.Refused refused = refused(add("second", typed));
    assertThat(refused.why()).startsWith(why);
    assertThat(List.of(refused.from(), refused.to())).containsExactly(from, to);
  }

  @Test
  void itIsTheLastEmailAboveThePlace() {
    assertThat(understood(add("t", "branch opened"))).contains("Hive planner");
    assertThat(understood(add("second", "branch opened"))).contains("Choosing a kit");
    assertThat(refused(add("journey", "branch opened")).why())
        .isEqualTo("No email is sent above, so say which one is meant.");
  }

  @Test
  void aMessageThatIsNotThereIsBroughtAlong() {
    Reading.Understood read = (Reading.Understood) add("second", "send Meet a keeper").result();
    assertThat(read.written()).extracting(Message::name).containsExactly("Meet a keeper");
    assertThat(understood(add("second", "send Meet a keeper"))).isEqualTo("Send Meet a keeper");
  }

  @Test
  void stepsComeBelowTheirRow() {
    Reading.Understood inArm = (Reading.Understood) add("b-a", "finish").result();
    Step.Branch branch = inArm.journey().only(Step.Branch.class).get(0);
    assertThat(branch.arms().get(0).steps()).hasSize(2);
    Reading.Understood first = (Reading.Understood) add("journey", "finish").result();
    assertThat(first.journey().body().get(0)).isInstanceOf(Step.Finish.class);
    Reading.Understood last = (Reading.Understood) add("nowhere", "finish").result();
    assertThat(last.journey().body().get(4)).isInstanceOf(Step.Finish.class);
  }

  @Test
  void anotherQuestionKeepsTheArms() {
    Reader reader =
        new Reader(
            JOURNEY,
            MESSAGES,
            List.of(),
            KnownNames.in(List.of(JOURNEY)),
            LocalDate.of(2026, 11, 29));
    Reading.Understood read =
        (Reading.Understood) reader.replace("b", "branch on clicked", 17).result();
    Step.Branch branch = read.journey().only(Step.Branch.class).get(0);
    assertThat(branch.arms().get(0).steps()).isEqualTo(List.of(tag("in", "reader")));
    Reading.Refused refused = refused(reader.replace("b", "wait 2 days", 11));
    assertThat(refused.why()).startsWith("1 step stands inside this one");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "se|send|0",
        "send ch|\u201cChoosing a kit\u201d|5",
        "tag new|\u201cnew keeper\u201d|4",
        "'wait 2 '|days|7",
        "branch clicked hive|\u201cHive kits\u201d|15",
      })
  void completionsGoOn(String typed, String text, int from) {
    assertThat(add("second", typed).completions())
        .anySatisfy(
            one -> {
              assertThat(one.text()).isEqualTo(text);
              assertThat(one.from()).isEqualTo(from);
            });
  }
}
