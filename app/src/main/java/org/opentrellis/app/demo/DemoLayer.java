package org.opentrellis.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.messages.MessageEdit;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.format.BehaviourDocument;
import org.opentrellis.core.format.JourneyDocument;
import org.opentrellis.core.format.Json;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Lays the demo: Ambercomb, an invented beekeeping co-op. Only into an empty database. */
@Component
class DemoLayer implements ApplicationRunner {
  private static final int PEOPLE = 20_000;
  private static final long SEED = 2026;
  private static final int HORIZON_DAYS = 60;

  private final TrellisSettings settings;
  private final MessageLibrary messages;
  private final Journeys journeys;
  private final DryRuns dryRuns;

  DemoLayer(TrellisSettings settings, MessageLibrary messages, Journeys journeys, DryRuns dryRuns) {
    this.settings = settings;
    this.messages = messages;
    this.journeys = journeys;
    this.dryRuns = dryRuns;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (!settings.demo() || !journeys.all().isEmpty()) {
      return;
    }
    for (MessageEdit message : read("messages", MessageEdit[].class)) {
      messages.add(message);
    }
    lay("first-frames", "first-frames-people");
    lay("first-frames-one-try", "first-frames-people");
    lay("through-the-season", "through-the-season-people");
  }

  private void lay(String journey, String people) {
    long id =
        journeys.add(read(journey, JourneyDocument.class), read(people, BehaviourDocument.class));
    dryRuns.run(id, PEOPLE, SEED, HORIZON_DAYS);
  }

  private static <T> T read(String name, Class<T> type) {
    try {
      ClassPathResource file = new ClassPathResource("demo/" + name + ".json");
      return Json.read(file.getContentAsString(StandardCharsets.UTF_8), type);
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }
}
