package org.opentrellis.core.check;

import java.util.List;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Leads;

/** Journeys that hand, tag or list people round in a circle at once would never come to an end. */
final class CircleWithoutWait implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    return Circles.through(
            Leads.of(context.expanded()), context.others().stream().map(Neighbour::leads).toList())
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
