package org.opentrellis.core.entrance;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.message.WebAddress;
import org.opentrellis.core.sentence.Style;

/** Looks through an entrance for what keeps people out, or leaves them with nothing. */
public final class EntranceChecks {
  private EntranceChecks() {}

  /**
   * A journey that starts for whoever signs up.
   *
   * @param by the form, or the list or tag that it gives
   * @param mailsAtOnce whether an email goes out within the first hour
   */
  public record Started(String journey, Name by, boolean mailsAtOnce) {}

  /** What an entrance stands among. */
  public interface Surroundings {
    List<Started> started(Entrance entrance);

    /** What is wrong with a message whose parts are shown, as a sentence goes on with it. */
    Optional<String> fault(MessageId page);

    boolean isKept(FileName file);
  }

  /** Errors first. */
  public static List<EntranceFinding> of(Entrance entrance, Surroundings around) {
    List<Started> started = around.started(entrance);
    List<EntranceFinding> found = new ArrayList<>();
    if (entrance.title().isBlank()) {
      found.add(
          EntranceFinding.error("no-title", "Nothing stands above the form: give it a title."));
    }
    if (entrance.button().isBlank()) {
      found.add(EntranceFinding.error("no-button-words", "The form\u2019s button says nothing."));
    }
    then(entrance.then(), found);
    for (MessageId page : entrance.pages()) {
      around
          .fault(page)
          .ifPresent(
              why ->
                  found.add(
                      EntranceFinding.error("no-page", "The message that it shows " + why + ".")));
    }
    entrance
        .handsOut()
        .filter(file -> !around.isKept(file))
        .ifPresent(
            file ->
                found.add(
                    EntranceFinding.error(
                        "no-file",
                        "There is no file " + Style.quoted(file.value()) + " to hand out.")));
    if (entrance.handsOut().isPresent()
        && !entrance.confirms()
        && entrance.then() instanceof Then.Address) {
      found.add(
          EntranceFinding.warning(
              "file-unseen",
              "Whoever signs up is led elsewhere at once and never sees the file that they may fetch."));
    }
    texts(entrance, found);
    if (entrance.agreement().isBlank()) {
      found.add(
          EntranceFinding.warning(
              "no-agreement",
              "The form says nothing that people agree to, so nobody who signs up is mailed."));
    }
    if (entrance.lists().isEmpty() && entrance.tags().isEmpty() && started.isEmpty()) {
      found.add(
          EntranceFinding.warning(
              "leads-nowhere",
              "Whoever signs up is put on no list, gets no tag, and no journey starts for them."));
    }
    welcomes(entrance, started).ifPresent(found::add);
    return found;
  }

  /** Two journeys that mail them in the first hour. */
  private static Optional<EntranceFinding> welcomes(Entrance entrance, List<Started> started) {
    List<Started> mailing = started.stream().filter(Started::mailsAtOnce).toList();
    if (mailing.size() < 2) {
      return Optional.empty();
    }
    EntranceFinding twice =
        EntranceFinding.warning(
            "welcomes-twice",
            "Whoever signs up is welcomed %s within the first hour: %s."
                .formatted(
                    mailing.size() == 2 ? "twice" : mailing.size() + " times",
                    mailing.stream()
                        .map(one -> Style.quoted(one.journey()) + " starts " + how(one.by()))
                        .collect(Collectors.joining(", and "))));
    return Optional.of(
        mailing.stream()
            .map(Started::by)
            .filter(by -> entrance.labels().contains(by))
            .reduce((first, last) -> last)
            .map(by -> twice.mendedBy("Leave out " + called(by), entrance.without(by)))
            .orElse(twice));
  }

  private static String how(Name by) {
    return by instanceof FormName ? "by this form" : "by " + called(by);
  }

  private static String called(Name label) {
    return (label instanceof TagName ? "tag " : "list ") + label.value();
  }

  private static void then(Then then, List<EntranceFinding> found) {
    switch (then) {
      case Then.Words words -> {
        if (words.words().isBlank()) {
          found.add(
              EntranceFinding.error(
                  "nothing-then", "Whoever signs up sees nothing then: say what is shown."));
        }
      }
      case Then.Page page -> {}
      case Then.Address address ->
          WebAddress.refusal(address.url())
              .ifPresent(
                  why ->
                      found.add(
                          EntranceFinding.error(
                              "leads-wrong", "Whoever signs up is led " + why + ".")));
    }
  }

  private static void texts(Entrance entrance, List<EntranceFinding> found) {
    for (Asked one : entrance.asks()) {
      if (one instanceof Asked.Texts texts) {
        if (texts.words().isBlank()) {
          found.add(
              EntranceFinding.error(
                  "texts-without-words", "The form does not say what texts people agree to."));
        }
        if (entrance.asks().stream().noneMatch(Asked.Phone.class::isInstance)) {
          found.add(
              EntranceFinding.error(
                  "texts-without-phone",
                  "The form asks whether they agree to texts, but not for a phone number."));
        }
      }
    }
  }
}
