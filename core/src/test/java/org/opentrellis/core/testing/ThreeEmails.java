package org.opentrellis.core.testing;

import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.pause;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;

/** A journey of three emails, 60 hours apart: steps a, b and c send messages one, two and three. */
public final class ThreeEmails {
  public static final Catalogue MESSAGES =
      Catalogue.of(
          List.of(
              Message.email("one", "One", "One", "A"),
              Message.email("two", "Two", "Two", "A"),
              Message.email("three", "Three", "Three", "A")));
  public static final Journey JOURNEY =
      Steps.journey(
          Optional.empty(),
          Step.SendEmail.of(id("a"), new MessageId("one")),
          pause("w", 60, TimeUnit.HOURS),
          Step.SendEmail.of(id("b"), new MessageId("two")),
          pause("x", 60, TimeUnit.HOURS),
          Step.SendEmail.of(id("c"), new MessageId("three")));

  private ThreeEmails() {}
}
