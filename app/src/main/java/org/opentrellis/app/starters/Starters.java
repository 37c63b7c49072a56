package org.opentrellis.app.starters;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.reading.Plan;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The starters, written as plans in {@code resources/starters}. */
@Service
class Starters {
  private static final List<String> NAMES =
      List.of(
          "welcome",
          "welcome-series",
          "nurture",
          "cart",
          "date-based",
          "re-engagement",
          "cross-sell",
          "challenge");

  private final Map<String, Plan> plans = new LinkedHashMap<>();
  private final Journeys journeys;
  private final MessageLibrary messages;
  private final LetterStarters letters;

  Starters(Journeys journeys, MessageLibrary messages, LetterStarters letters) {
    this.journeys = journeys;
    this.messages = messages;
    this.letters = letters;
    NAMES.forEach(name -> plans.put(name, read(name)));
  }

  private static Plan read(String name) {
    try {
      ClassPathResource file = new ClassPathResource("starters/" + name + ".txt");
      return Plan.read(file.getContentAsString(StandardCharsets.UTF_8));
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }

  List<StarterView> all() {
    return plans.entrySet().stream().map(one -> view(one.getKey(), one.getValue())).toList();
  }

  private static StarterView view(String id, Plan plan) {
    Catalogue catalogue = Catalogue.of(plan.messages());
    return new StarterView(
        id, plan.name(), plan.purpose(), RunSheet.of(plan.journey(), catalogue), plan.reasons());
  }

  /** Written out, if there is a letter for it. */
  private void keep(Message message, Plan plan) {
    letters
        .forMessage(message.name())
        .ifPresentOrElse(
            letter ->
                messages.keep(
                    new Written(
                        message.id(),
                        message.name(),
                        List.of(),
                        subjectOfItsOwn(letter, message, plan),
                        letter.id())),
            () -> messages.keep(message));
  }

  /** Where several messages of a journey begin with one letter, each is called by its own name. */
  private static Manuscript.Email subjectOfItsOwn(
      LetterStarter letter, Message message, Plan plan) {
    long alike =
        plan.messages().stream().filter(one -> letter.messages().contains(one.name())).count();
    return alike > 1 ? letter.email().withSubject(OneLine.of(message.name())) : letter.email();
  }

  /**
   * Adds a draft as a starter has it, with those of its messages that are not there yet.
   *
   * @return the journey's id
   * @throws NotFound if there is no such starter
   */
  @AgainIfTaken
  @Transactional
  public long begin(String id) {
    Plan plan = Optional.ofNullable(plans.get(id)).orElseThrow(() -> NotFound.of("starter", id));
    Catalogue here = Catalogue.of(messages.all());
    plan.messages().stream()
        .filter(message -> here.message(message.id()).isEmpty())
        .forEach(message -> keep(message, plan));
    String name = journeys.freeName(plan.name());
    return journeys.add(plan.journey().edit().name(name).done(), journeys.usual(), id);
  }
}
