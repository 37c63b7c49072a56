package org.opentrellis.core.entrance;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.message.WebAddress;

/** Looks through an entrance for what keeps people out, or leaves them with nothing. */
public final class EntranceChecks {
  private EntranceChecks() {}

  /**
   * Errors first.
   *
   * @param starts whether a journey starts for whoever signs up
   */
  public static List<EntranceFinding> of(Entrance entrance, boolean starts) {
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
    if (entrance.agreement().isBlank()) {
      found.add(
          EntranceFinding.warning(
              "no-agreement",
              "The form says nothing that people agree to, so nobody who signs up is mailed."));
    }
    if (entrance.lists().isEmpty() && entrance.tags().isEmpty() && !starts) {
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
