package org.opentrellis.core.entrance;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.WebAddress;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Style;

/** Looks through an entrance for what keeps people out, or leaves them with nothing. */
public final class EntranceChecks {
  private EntranceChecks() {}

  /**
   * What is around an entrance.
   *
   * @param starts whether a journey starts for whoever submits a form
   */
  public record Around(
      Predicate<FileName> files, Predicate<MessageId> messages, Predicate<FormName> starts) {}

  /** Errors first. */
  public static List<EntranceFinding> of(Entrance entrance, Around around) {
    List<EntranceFinding> found = new ArrayList<>();
    if (entrance.title().isBlank()) {
      found.add(
          EntranceFinding.error("no-title", "Nothing stands above the form: give it a title."));
    }
    if (entrance.button().isBlank()) {
      found.add(EntranceFinding.error("no-button-words", "The form\u2019s button says nothing."));
    }
    then(entrance.then(), found);
    texts(entrance, found);
    entrance.handsOut().ifPresent(what -> handOut(what, around, found));
    entrance.tells().stream()
        .filter(one -> !isAddress(one))
        .forEach(
            one ->
                found.add(
                    EntranceFinding.error(
                        "no-address",
                        "The team is to be told at %s, which is no email address."
                            .formatted(Style.quoted(one)))));
    if (entrance.agreement().isBlank()) {
      found.add(
          EntranceFinding.warning(
              "no-agreement",
              "The form says nothing that people agree to, so nobody who signs up is mailed."));
    }
    if (entrance.lists().isEmpty()
        && entrance.tags().isEmpty()
        && !around.starts().test(entrance.name())) {
      found.add(
          EntranceFinding.warning(
              "leads-nowhere",
              "Whoever signs up is put on no list, gets no tag, and no journey starts for them."));
    }
    return found;
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
      case Then.Page page -> {
        if (page.parts().isEmpty()) {
          found.add(
              EntranceFinding.error(
                  "nothing-then",
                  "Whoever signs up sees an empty page then: put something on it."));
        }
      }
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

  private static void handOut(HandOut what, Around around, List<EntranceFinding> found) {
    boolean there =
        switch (what) {
          case HandOut.File file -> around.files().test(file.file());
          case HandOut.Mail mail -> around.messages().test(mail.message());
        };
    if (!there) {
      found.add(
          EntranceFinding.error(
              "hand-out-missing",
              switch (what) {
                case HandOut.File file ->
                    "The file %s that it hands out is not there."
                        .formatted(Style.quoted(file.file().value()));
                case HandOut.Mail mail -> "The message that it sends is not there.";
              }));
    }
  }

  private static boolean isAddress(String typed) {
    try {
      new EmailAddress(typed);
      return true;
    } catch (Refused none) {
      return false;
    }
  }
}
