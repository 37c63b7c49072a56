package org.opentrellis.app.live;

import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.live.Deed;

/**
 * A line of the log.
 *
 * @param turn which of the person's turns it belongs to, from 1
 * @param turnAt when that was, in epoch seconds
 * @param edition of what was open then
 * @param document of what was told: all of it; null of what the machine did, and of those who were
 *     forgotten
 */
record HappeningRow(
    long personId,
    int turn,
    long turnAt,
    int edition,
    Origin origin,
    long at,
    String kind,
    @Nullable Long journeyId,
    @Nullable Integer version,
    @Nullable Integer visit,
    @Nullable String step,
    @Nullable String detail,
    @Nullable String document) {

  /** Where it came from. */
  enum Origin {
    /** From outside. */
    TOLD,
    /** From outside, so that it brings nobody into a journey. */
    QUIETLY,
    /** From the mail server, at the moment at which a message went out. */
    AT_ONCE,
    /** The machine did it. */
    DONE,
    /** Nothing came of the turn but that time has passed. */
    TURN
  }

  /** The turn that a line belongs to. */
  record OfTurn(long person, int turn, long at, int edition) {

    HappeningRow told(Happening happening, Origin origin) {
      MessageRef message = message(happening).orElse(null);
      return new HappeningRow(
          person,
          turn,
          at,
          edition,
          origin,
          happening.at(),
          kind(happening),
          journey(happening).map(LiveNames::number).orElse(null),
          null,
          message == null ? null : message.visit(),
          message == null ? null : message.step().value(),
          happening instanceof Happening.Clicked clicked
              ? clicked.link().map(link -> cut(link.value())).orElse(null)
              : null,
          document(happening));
    }

    HappeningRow done(Deed deed) {
      return new HappeningRow(
          person,
          turn,
          at,
          edition,
          Origin.DONE,
          deed.at(),
          deed.kind().name(),
          LiveNames.number(deed.journey()),
          deed.version(),
          deed.visit(),
          deed.step().map(StepId::value).orElse(null),
          deed.detail().orElse(null),
          null);
    }

    HappeningRow nothing() {
      return new HappeningRow(
          person, turn, at, edition, Origin.TURN, at, "TURN", null, null, null, null, null, null);
    }
  }

  /** All of what was told, as JSON. */
  static String document(Happening happening) {
    return Json.write(Documents.write(happening));
  }

  private static String cut(String text) {
    return text.substring(0, Math.min(200, text.length()));
  }

  /** The message that it is about, or came of. */
  private static Optional<MessageRef> message(Happening happening) {
    return switch (happening) {
      case Happening.OfMessage of -> Optional.of(of.message());
      case Happening.ConsentWithdrawn withdrawn -> withdrawn.becauseOf();
      default -> Optional.empty();
    };
  }

  private static Optional<JourneyName> journey(Happening happening) {
    return switch (happening) {
      case Happening.OfMessage of -> Optional.of(of.message().journey());
      case Happening.ConsentWithdrawn withdrawn -> withdrawn.becauseOf().map(MessageRef::journey);
      case Happening.Came came -> Optional.of(came.journey());
      case Happening.PutIn in -> Optional.of(in.journey());
      case Happening.TakenOut out -> Optional.of(out.journey());
      case Happening.PutForward on -> Optional.of(on.journey());
      default -> Optional.empty();
    };
  }

  /** Such as FIELD_CHANGED. */
  static String kind(Happening happening) {
    return happening
        .getClass()
        .getSimpleName()
        .replaceAll("(?<=[a-z])(?=[A-Z])", "_")
        .toUpperCase(Locale.ROOT);
  }

  /** What the machine did; of a line of that origin. */
  Deed deed() {
    return new Deed(
        at,
        Deed.Kind.valueOf(kind),
        LiveNames.of(Objects.requireNonNull(journeyId)),
        Objects.requireNonNull(version),
        Objects.requireNonNull(visit),
        Optional.ofNullable(step).map(StepId::new),
        Optional.ofNullable(detail));
  }

  /** What was told; of a line of that origin of somebody who was not forgotten. */
  Happening happening() {
    return Documents.readHappening(Json.tree(Objects.requireNonNull(document)));
  }
}
