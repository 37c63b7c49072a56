package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.testing.RandomJourneys;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is printed of any journey can be read back, and means the same. */
class ReadBackTest {
  private record Typed(String row, String text) {}

  private static Reader reader(Journey journey) {
    return new Reader(
        journey,
        RandomJourneys.CATALOGUE,
        List.of("Another"),
        KnownNames.in(List.of(journey, RandomJourneys.CATALOGUE)),
        LocalDate.of(2026, 11, 29));
  }

  private static List<Typed> lines(Journey journey) {
    RunSheet sheet = RunSheet.of(journey, RandomJourneys.CATALOGUE);
    List<Typed> lines = new ArrayList<>();
    Stream.concat(Stream.of(sheet.opening(), sheet.goal()), sheet.rules().stream())
        .forEach(line -> lines.add(new Typed(line.id(), line.typed().text())));
    sheet.rows().stream()
        .filter(row -> !row.typed().spans().isEmpty())
        .forEach(row -> lines.add(new Typed(row.id(), row.typed().text())));
    return lines;
  }

  @Test
  void everyLineOfAnyJourneyIsReadBackAsItWas() {
    int read = 0;
    for (long seed = 0; seed < 60; seed++) {
      Journey journey = RandomJourneys.journey(seed, 25);
      JsonNode before = normal(Documents.write(journey));
      Reader reader = reader(journey);
      for (Typed line : lines(journey)) {
        Reading reading = reader.replace(line.row, line.text, line.text.length());
        assertThat(reading.result())
            .as("seed %d, %s: %s", seed, line.row, line.text)
            .isInstanceOf(Reading.Understood.class);
        Journey after = ((Reading.Understood) reading.result()).journey();
        assertThat(normal(Documents.write(after)))
            .as("seed %d, %s: %s", seed, line.row, line.text)
            .isEqualTo(before);
        read++;
      }
    }
    assertThat(read).isGreaterThan(1_200);
  }

  /** The same in capitals where no names are, with straight quotation marks and wide spaces. */
  @Test
  void caseQuotationMarksAndSpacesDoNotMatter() {
    for (long seed = 0; seed < 30; seed++) {
      Journey journey = RandomJourneys.journey(seed, 15);
      Reader reader = reader(journey);
      for (Typed line : lines(journey)) {
        String other = line.text.replace('\u201c', '"').replace('\u201d', '"');
        other = other.replaceAll(" (?=([^\"]*\"[^\"]*\")*[^\"]*$)", "  ");
        other = Character.toLowerCase(other.charAt(0)) + other.substring(1);
        Reading reading = reader.replace(line.row, other, 0);
        boolean hasQuotes = line.text.contains("\u201d\u201d");
        assertThat(hasQuotes || reading.result() instanceof Reading.Understood)
            .as("%s: %s", other, reading.result())
            .isTrue();
      }
    }
  }

  /** No text, however broken, does anything but be understood or refused at a place in it. */
  @Test
  void brokenSentencesAreRefusedAtAPlace() {
    java.util.SplittableRandom random = new java.util.SplittableRandom(7);
    int refused = 0;
    for (long seed = 0; seed < 30; seed++) {
      Journey journey = RandomJourneys.journey(seed, 15);
      Reader reader = reader(journey);
      for (Typed line : lines(journey)) {
        int from = random.nextInt(line.text.length());
        int to = from + random.nextInt(line.text.length() - from + 1);
        String broken = line.text.substring(0, from) + line.text.substring(to);
        Reading reading = reader.add(line.row, broken, random.nextInt(broken.length() + 1));
        if (reading.result() instanceof Reading.Refused why) {
          refused++;
          assertThat(why.why()).as(broken).matches("(?s).*[.?]");
          assertThat(why.from()).as(broken).isBetween(0, broken.length());
          assertThat(why.to()).as(broken).isBetween(why.from(), broken.length());
        }
      }
    }
    assertThat(refused).isGreaterThan(100);
  }

  /**
   * One question in "all" or "any" is that question, and nothing at all is true of everyone; a date
   * that does not return has no 29 February to move.
   */
  private static JsonNode normal(JsonNode node) {
    if (node instanceof ArrayNode array) {
      ArrayNode copy = array.arrayNode();
      array.forEach(one -> copy.add(normal(one)));
      return copy;
    }
    if (!(node instanceof ObjectNode object)) {
      return node;
    }
    ObjectNode copy = object.objectNode();
    object.properties().forEach(field -> copy.set(field.getKey(), normal(field.getValue())));
    if (!copy.path("everyYear").asBoolean(true)) {
      copy.put("onFirstOfMarch", false);
    }
    String kind = copy.path("kind").asString("");
    int parts = copy.path("parts").size();
    if ((kind.equals("all") || kind.equals("any")) && parts == 1) {
      return copy.get("parts").get(0);
    }
    return kind.equals("none") && parts == 0 ? copy.put("kind", "all") : copy;
  }
}
