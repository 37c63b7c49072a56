package org.opentrellis.app.starters;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.ManuscriptReader;
import org.opentrellis.core.reading.PartReader;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The ready-made emails, written down in {@code resources/starters/letters.txt}. */
@Component
class LetterStarters {
  private static final PartReader PARTS =
      new PartReader(
          Catalogue.EMPTY, KnownNames.of(Map.of()), List.of(), List.of(), LocalDate.EPOCH);

  private final List<LetterStarter> all = new ArrayList<>();

  LetterStarters() {
    for (String one : text().split("(?m)^=== ")) {
      if (!one.isBlank()) {
        all.add(read(one));
      }
    }
  }

  private static String text() {
    try {
      return new ClassPathResource("starters/letters.txt")
          .getContentAsString(StandardCharsets.UTF_8);
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }

  /** The first line says id, name, and which messages of starter journeys it is for. */
  private static LetterStarter read(String one) {
    String[] headAndText = one.split("\n", 2);
    String[] head = headAndText[0].split("\\|", -1);
    ManuscriptReader.Read read = ManuscriptReader.read(headAndText[1], PARTS);
    Map<String, String> reasons = new LinkedHashMap<>();
    read.reasons().forEach((part, reason) -> reasons.put(part.value(), reason));
    List<String> messages =
        Arrays.stream(head[2].split(";")).map(String::strip).filter(s -> !s.isEmpty()).toList();
    return new LetterStarter(head[0].strip(), head[1].strip(), messages, read.email(), reasons);
  }

  List<LetterStarter> all() {
    return all;
  }

  Optional<LetterStarter> find(String id) {
    return all.stream().filter(one -> one.id().equals(id)).findFirst();
  }

  /** What a message of a starter journey begins with. */
  Optional<LetterStarter> forMessage(String name) {
    return all.stream().filter(one -> one.messages().contains(name)).findFirst();
  }
}
