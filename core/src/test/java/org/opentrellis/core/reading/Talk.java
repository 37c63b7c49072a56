package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.sentence.Phrase;

/** What is heard when somebody says something, in an account that has a few names. */
final class Talk {
  private static final Catalogue CATALOGUE =
      new Catalogue(
          List.of(
              Message.email("planner", "Hive planner", "Your planner", "Open the planner"),
              Message.email("kits", "Choosing a kit", "Which kit?", "Hive kits", "Read more"),
              Message.text("reminder", "Reminder", "Do not forget")),
          List.of(new Strand(new StrandId("spring"), "Spring", List.of())),
          List.of(
              new Segment(new SegmentName("Keen"), new Condition.HasTag(new TagName("buyer")))));

  private static final KnownNames KNOWN =
      KnownNames.in(
          List.of(
              new ListName("Newcomers"),
              new ListName("Members"),
              new TagName("guest"),
              new TagName("buyer"),
              new TagName("reader"),
              new FormName("Planner"),
              new FieldName("renewal"),
              new FieldName("birthday"),
              new FieldName("city"),
              new ProductName("Hive kit"),
              new CategoryName("Hives"),
              CATALOGUE));

  private Talk() {}

  /**
   * @param place "empty" for a journey without anything; else below two emails
   */
  static Reading.Result read(String place, String text) {
    Journey empty = Journey.empty("Talk", Purpose.OTHER);
    Journey journey =
        place.equals("empty")
            ? empty
            : empty.withBody(
                List.of(
                    Step.SendEmail.of(new StepId("first"), new MessageId("planner")),
                    Step.SendEmail.of(new StepId("second"), new MessageId("kits")),
                    branchIf(place)));
    if (!place.equals("below a branch")) {
      journey = journey.withBody(journey.body().stream().limit(2).toList());
    }
    String row = place.equals("below a branch") ? "b-a" : "nowhere";
    return new Reader(journey, CATALOGUE, List.of("Season"), KNOWN, LocalDate.of(2026, 11, 29))
        .add(row, text, text.length())
        .result();
  }

  private static Step branchIf(String place) {
    return new Step.Branch(
        new StepId("b"),
        java.util.Optional.empty(),
        List.of(
            new org.opentrellis.core.journey.Arm(
                new StepId("b-a"),
                new Condition.HasTag(new TagName(place.isEmpty() ? "x" : "buyer")),
                List.of())),
        new org.opentrellis.core.journey.Otherwise(new StepId("b-else"), List.of()));
  }

  /** What it comes to, in a line: what is said on the run sheet, with what is new in brackets. */
  static String heard(String place, String text) {
    return switch (read(place, text)) {
      case Reading.Understood read ->
          Stream.concat(
                  Stream.of(
                      read.sentences().stream()
                          .map(Phrase::text)
                          .collect(Collectors.joining(" / "))),
                  Stream.concat(
                          read.written().stream()
                              .map(
                                  one ->
                                      "new "
                                          + one.channel().name().toLowerCase(java.util.Locale.ROOT)
                                          + " \u201c"
                                          + one.name()
                                          + "\u201d"
                                          + (one.links().isEmpty() ? "" : " with " + one.links())),
                          read.news().stream())
                      .map(one -> "[" + one + "]"))
              .collect(Collectors.joining(" "));
      case Reading.Refused refused ->
          (refused.asks() ? "ASKS " : "REFUSES ")
              + refused.why()
              + refused.offers().stream()
                  .map(o -> " {" + o.says() + "}")
                  .collect(Collectors.joining());
    };
  }
}
