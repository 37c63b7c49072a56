package org.opentrellis.app.arrangements;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.arrange.Arranged;
import org.opentrellis.core.arrange.Arranging;
import org.opentrellis.core.arrange.Gathering;
import org.opentrellis.core.arrange.Merging;
import org.opentrellis.core.arrange.Series;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Arranges the steps of journeys. */
@Service
class Arrangements {
  private final Journeys journeys;
  private final Catalogues catalogues;

  Arrangements(Journeys journeys, Catalogues catalogues) {
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  /**
   * @throws ProblemsFound if the order is not whole; what cannot be arranged is no problem in this
   *     sense
   */
  ArrangementView arrange(ArrangementOrder order) {
    Journey journey = journeys.readIn("/journey", order.journey());
    Catalogue catalogue = catalogues.current();
    return ArrangementView.of(
        within(
            () ->
                isSeries(order)
                    ? series(order, new Series(journey, catalogue))
                    : arranged(order, journey, catalogue)));
  }

  private static boolean isSeries(ArrangementOrder order) {
    return switch (order.action()) {
      case TRY_AGAIN, TEXT_THE_REST, REMIND -> true;
      default -> false;
    };
  }

  /** A number or name that cannot be is told as a problem of the order. */
  private static Arranged within(java.util.function.Supplier<Arranged> arranging) {
    try {
      return arranging.get();
    } catch (Refused wrong) {
      throw ProblemsFound.badValue("", wrong.getMessage() + ".");
    }
  }

  private static Arranged series(ArrangementOrder order, Series series) {
    String below = required("below", order.below());
    int number = required("number", order.number());
    return switch (order.action()) {
      case TRY_AGAIN -> series.tryAgain(below, number);
      case TEXT_THE_REST ->
          series.textTheRest(below, new MessageId(required("message", order.message())), number);
      default ->
          series.remind(
              below,
              new FieldName(required("field", order.field())),
              new MessageId(required("message", order.message())),
              number);
    };
  }

  private Arranged arranged(ArrangementOrder order, Journey journey, Catalogue catalogue) {
    Arranging arranging = new Arranging(journey, catalogue);
    Set<String> rows = order.rows();
    return switch (order.action()) {
      case MOVE -> arranging.move(rows, required("below", order.below()));
      case UP -> arranging.up(rows);
      case DOWN -> arranging.down(rows);
      case IN -> arranging.in(rows);
      case OUT -> arranging.out(rows);
      case COPY -> arranging.copy(rows);
      case DUPLICATE -> arranging.duplicate(rows);
      case REMOVE -> arranging.remove(rows);
      case GATHER -> new Gathering(journey, catalogue).gather(rows, required("name", order.name()));
      case PASTE ->
          arranging.paste(
              steps(required("steps", order.steps())), required("below", order.below()));
      case TRY_AGAIN, TEXT_THE_REST, REMIND ->
          throw new IllegalStateException("a series is not an arrangement of rows");
    };
  }

  /**
   * @throws ProblemsFound if one of the two is not whole
   */
  JsonNode merge(MergeOrder order) {
    Journey theirs = journeys.readIn("/theirs", order.theirs());
    Journey ours = journeys.readIn("/ours", order.ours());
    return Documents.write(Merging.of(theirs, ours, order.rows(), catalogues.current()));
  }

  private List<Step> steps(List<JsonNode> documents) {
    ObjectNode whole = (ObjectNode) Documents.write(Journey.empty("Copied", Purpose.OTHER));
    whole.putArray("body").addAll(documents);
    return journeys.readIn("", whole).body();
  }

  private static <T> T required(String name, @Nullable T value) {
    if (value == null) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "missing-value", "/" + name, "\u201c%s\u201d is missing.".formatted(name))));
    }
    return value;
  }
}
