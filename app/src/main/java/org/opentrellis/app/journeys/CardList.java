package org.opentrellis.app.journeys;

import com.fasterxml.jackson.annotation.JsonRawValue;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.report.Sketch;
import org.opentrellis.core.sentence.Phrase;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Lists journeys by their cards, a page at a time. */
@Service
@Transactional
public class CardList {
  private final CardMapper mapper;
  private final Cards cards;

  CardList(CardMapper mapper, Cards cards) {
    this.mapper = mapper;
    this.cards = cards;
  }

  /**
   * A journey in a list. What is kept as JSON is passed on as it is.
   *
   * @param opening how it starts
   * @param findings how many there are
   * @param worst the worst of them; null if there are none
   * @param firstPlace the step that the first is about; null if it is about the whole journey
   * @param body its steps, those of strands in place, to draw it
   * @param sketch an estimate, to draw it by; null until that has been made
   */
  public record Card(
      long id,
      String name,
      int version,
      OffsetDateTime savedAt,
      Purpose purpose,
      JourneyState state,
      @JsonRawValue @Schema(implementation = Phrase.class) String opening,
      @JsonRawValue @Schema(implementation = Phrase.class) String goal,
      int findings,
      @Nullable Severity worst,
      @Nullable String firstPlace,
      @ArraySchema(schema = @Schema(ref = Schemas.STEP)) List<JsonNode> body,
      @JsonRawValue @Schema(implementation = Sketch.class) @Nullable String sketch) {

    static Card of(ListedRow row, Found found) {
      return new Card(
          row.id(),
          row.name(),
          row.version(),
          row.savedAt(),
          Purpose.valueOf(row.purpose()),
          JourneyState.valueOf(row.state()),
          row.opening(),
          row.goal(),
          found.count(),
          found.worst(),
          found.firstPlace(),
          List.copyOf(Json.tree(row.body()).values()),
          row.sketch());
    }
  }

  /**
   * The journeys of a page, the oldest first.
   *
   * @param archived those that are put away, or the others
   * @param find words that a journey's name, purpose, state and start must all have among them
   */
  public List<Card> page(boolean archived, String find, int from, int most) {
    Cards.Now now = cards.now();
    return mapper.page(archived, words(find), from, most).stream()
        .map(row -> Card.of(row, cards.found(row, now)))
        .toList();
  }

  /** How many there are in all. */
  public int count(boolean archived, String find) {
    return mapper.count(archived, words(find));
  }

  private static List<String> words(String find) {
    return Arrays.stream(find.toLowerCase(Locale.ROOT).split("\\s+"))
        .filter(word -> !word.isEmpty())
        .map(word -> "%" + word.replaceAll("([!%_])", "!$1") + "%")
        .toList();
  }

  /** Journeys that have no picture yet. */
  public List<Long> withoutSketch() {
    return mapper.withoutSketch();
  }

  /** Keeps what the checks find in a journey by now, if that has changed. */
  public void refresh(long journey) {
    cards.refresh(journey);
  }

  public boolean hasSketch(long journey) {
    return mapper.hasSketch(journey);
  }

  /** What tells whether a card is still the one that a picture was made for. */
  public int made(long journey) {
    return mapper.made(journey);
  }

  /** Keeps a picture, unless the card has been made anew since. */
  public void keepSketch(long journey, int made, Sketch sketch) {
    mapper.keepSketch(journey, made, Json.write(sketch));
  }
}
