package org.opentrellis.app.demo;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.Then;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;

/** The form on Ambercomb's website at which one asks for the hive planner. */
final class DemoEntrance {
  private DemoEntrance() {}

  static Entrance planner() {
    return new Entrance(
        new FormName("Planner on the website"),
        "The hive planner",
        List.of(
            new Asked.FirstName(true),
            new Asked.Field(new FieldName("hives"), "How many hives do you keep?", false)),
        "Send me the planner",
        "Ambercomb sends me the planner and, once or twice a month, news by email. I can stop it with one click.",
        true,
        List.of(new ListName("Newcomers")),
        List.of(new TagName("new-keeper")),
        new Then.Words("Thank you. The planner is on its way to you."),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }
}
