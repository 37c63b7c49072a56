package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.RunSheet;

/** Plans that practitioners make, typed line by line into an empty account. */
class TwelvePlansTest {

  static List<TypedPlan> plans() {
    return TypedPlan.all();
  }

  @ParameterizedTest
  @MethodSource("plans")
  void isTypedLineByLine(TypedPlan plan) {
    Journey journey = Journey.empty(plan.name(), Purpose.OTHER);
    List<Message> messages = new ArrayList<>();
    String below = "end";
    int taken = 0;
    for (String line : plan.lines()) {
      String text = line;
      Reading.Result result = read(journey, messages, below, text);
      while (result instanceof Reading.Refused asked && asked.asks() && !asked.offers().isEmpty()) {
        text = asked.offers().get(0).text();
        result = read(journey, messages, below, text);
        taken++;
      }
      assertThat(result).as(text).isInstanceOf(Reading.Understood.class);
      Reading.Understood understood = (Reading.Understood) result;
      journey = understood.journey();
      below = understood.below();
      understood.written().forEach(one -> messages.removeIf(old -> old.id().equals(one.id())));
      messages.addAll(understood.written());
    }
    assertThat(sheet(journey, messages)).isEqualTo(plan.sheet());
    assertThat(taken).as("questions answered by one key").isLessThanOrEqualTo(3);
  }

  /** The same plan pasted as a whole comes to the same. */
  @ParameterizedTest
  @MethodSource("plans")
  void isPastedAsAWhole(TypedPlan plan) {
    Journey journey = Journey.empty(plan.name(), Purpose.OTHER);
    String text = String.join("\n", plan.lines());
    Reading.Result result = read(journey, List.of(), "end", text);
    while (result instanceof Reading.Refused asked && asked.asks() && !asked.offers().isEmpty()) {
      text = asked.offers().get(0).text();
      result = read(journey, List.of(), "end", text);
    }
    assertThat(result).as(text).isInstanceOf(Reading.Understood.class);
    Reading.Understood understood = (Reading.Understood) result;
    assertThat(sheet(understood.journey(), understood.written())).isEqualTo(plan.sheet());
  }

  private static Reading.Result read(
      Journey journey, List<Message> messages, String below, String text) {
    Catalogue catalogue = Catalogue.of(messages);
    return new Reader(
            journey,
            catalogue,
            List.of("After the hive"),
            KnownNames.in(List.of(journey, catalogue)),
            LocalDate.of(2026, 11, 29))
        .add(below, text, text.length())
        .result();
  }

  private static String sheet(Journey journey, List<Message> messages) {
    RunSheet sheet = RunSheet.of(journey, Catalogue.of(messages));
    return Stream.of(
            Stream.of(journey.purpose().word()),
            Stream.of(sheet.opening()).map(line -> line.sentence().text()),
            sheet.rules().stream().map(line -> line.sentence().text()),
            sheet.rows().stream().map(row -> "  ".repeat(row.depth()) + row.sentence().text()),
            Stream.of(sheet.goal()).map(line -> line.sentence().text()))
        .flatMap(lines -> lines)
        .collect(Collectors.joining("\n"));
  }
}
