package org.opentrellis.core.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.JourneyDocument.AmountDocument;
import org.opentrellis.core.format.JourneyDocument.ArmDocument;
import org.opentrellis.core.format.JourneyDocument.TimeOfDayDocument;

/** A step as JSON; {@code kind} says which. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = StepDocument.Send.class, name = "send"),
  @JsonSubTypes.Type(value = StepDocument.Wait.class, name = "wait"),
  @JsonSubTypes.Type(value = StepDocument.Branch.class, name = "branch"),
  @JsonSubTypes.Type(value = StepDocument.Change.class, name = "change"),
  @JsonSubTypes.Type(value = StepDocument.Finish.class, name = "finish")
})
public sealed interface StepDocument {
  String id();

  /**
   * @param message the message's id
   * @param subject a subject for this send alone, or null
   */
  record Send(String id, String message, @Nullable String subject) implements StepDocument {}

  /**
   * Waits the amount, then until the time of day; at least one of the two.
   *
   * @param amount how long, or null
   * @param until the moment to go on at, or null
   */
  record Wait(String id, @Nullable AmountDocument amount, @Nullable TimeOfDayDocument until)
      implements StepDocument {}

  /**
   * @param waitUpTo how long to wait for an arm to hold, or null to decide at once
   * @param arms at least one
   * @param otherwise everyone else
   */
  record Branch(
      String id, @Nullable AmountDocument waitUpTo, List<ArmDocument> arms, ArmDocument otherwise)
      implements StepDocument {}

  record Change(String id, List<ChangeDocument> changes) implements StepDocument {}

  record Finish(String id) implements StepDocument {}
}
