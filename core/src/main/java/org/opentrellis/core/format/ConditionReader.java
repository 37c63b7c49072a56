package org.opentrellis.core.format;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;

/** Reads conditions. */
final class ConditionReader {
  /** Conditions stand at most this deep inside each other. */
  static final int DEEPEST = 8;

  private final Reading reading;

  ConditionReader(Reading reading) {
    this.reading = reading;
  }

  /**
   * @param mayAskAboutEmails whether an email can have been sent where the condition stands
   */
  Optional<Condition> read(ConditionDocument given, String place, boolean mayAskAboutEmails) {
    return read(given, place, mayAskAboutEmails, 0);
  }

  private Optional<Condition> read(
      ConditionDocument given, String place, boolean mayAskAboutEmails, int depth) {
    if (depth > DEEPEST) {
      reading
          .problems()
          .add("too-deep", place, "Conditions may stand at most " + DEEPEST + " deep.");
      return Optional.empty();
    }
    boolean asksAboutEmail =
        given instanceof ConditionDocument.Opened || given instanceof ConditionDocument.Clicked;
    if (asksAboutEmail && !mayAskAboutEmails) {
      reading
          .problems()
          .add(
              "bad-value",
              place,
              "Who may enter can ask for tags and lists only: no email has been sent yet.");
      return Optional.empty();
    }
    if (given instanceof ConditionDocument.Opened opened) {
      return reading
          .required(place + "/email", opened.email(), StepId::new)
          .map(email -> new Condition.Opened(email, opened.peopleOnly()));
    }
    if (given instanceof ConditionDocument.Clicked clicked) {
      return clicked(clicked, place);
    }
    if (given instanceof ConditionDocument.HasTag has) {
      return reading.required(place + "/tag", has.tag(), TagName::new).map(Condition.HasTag::new);
    }
    if (given instanceof ConditionDocument.OnList on) {
      return reading.required(place + "/list", on.list(), ListName::new).map(Condition.OnList::new);
    }
    if (given instanceof ConditionDocument.All all) {
      return combined(all.parts(), place, mayAskAboutEmails, depth, Condition.All::new);
    }
    if (given instanceof ConditionDocument.Any any) {
      return combined(any.parts(), place, mayAskAboutEmails, depth, Condition.Any::new);
    }
    List<ConditionDocument> parts = ((ConditionDocument.None) given).parts();
    return combined(parts, place, mayAskAboutEmails, depth, Condition.None::new);
  }

  private Optional<Condition> clicked(ConditionDocument.Clicked given, String place) {
    Optional<StepId> email = reading.required(place + "/email", given.email(), StepId::new);
    Optional<LinkName> link =
        given.link() == null
            ? Optional.empty()
            : reading.required(place + "/link", given.link(), LinkName::new);
    return email.map(e -> new Condition.Clicked(e, link));
  }

  private Optional<Condition> combined(
      @Nullable List<ConditionDocument> parts,
      String place,
      boolean mayAskAboutEmails,
      int depth,
      Function<List<Condition>, Condition> make) {
    List<Condition> read =
        reading.list(
            place + "/parts", parts, (part, at) -> read(part, at, mayAskAboutEmails, depth + 1));
    if (parts != null && parts.isEmpty()) {
      reading
          .problems()
          .add("empty-condition", place + "/parts", "Name at least one condition here.");
    }
    return Optional.of(make.apply(read));
  }
}
