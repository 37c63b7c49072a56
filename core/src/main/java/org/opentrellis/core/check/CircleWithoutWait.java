package org.opentrellis.core.check;

import java.util.List;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.JourneyName;

/** Journeys that hand, tag or list people round in a circle at once would never come to an end. */
final class CircleWithoutWait implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    return Circles.find(context.all().toList())
        .filter(circle -> circle.contains(context.journey().journeyName()))
        .map(circle -> List.of(finding(circle)))
        .orElse(List.of());
  }

  private static Finding finding(List<JourneyName> circle) {
    String names =
        circle.stream().map(name -> "\u201c" + name + "\u201d").collect(Collectors.joining(" to "));
    return Findings.error(
        "circle-without-wait",
        "People go round in a circle without a wait: from "
            + names
            + ". Put a wait before the step that leads on.");
  }
}
