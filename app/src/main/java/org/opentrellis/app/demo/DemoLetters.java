package org.opentrellis.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.names.AllNames;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.reading.ManuscriptReader;
import org.opentrellis.core.reading.PartReader;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The letters of Ambercomb, with their pictures and files. */
@Component
class DemoLetters {
  /** Drawn for the demo. */
  static final String LOGO = "ambercomb.png";

  private static final List<String> FILES =
      List.of(
          "hives-in-clover.png",
          "a-frame-of-brood.png",
          "frost-on-the-stand.png",
          "the-kit-on-the-bench.png",
          "a-jar-of-honey.png",
          "keepers-at-the-stand.png",
          LOGO,
          "hive-planner.pdf",
          "swarm-checklist.pdf",
          "cost-table.pdf");

  private static final String BEGINS = "=== ";

  private final KeptFiles files;
  private final AllNames names;

  DemoLetters(KeptFiles files, AllNames names) {
    this.files = files;
    this.names = names;
  }

  void keepFiles() {
    FILES.forEach(name -> files.add(name, bytes(name)));
  }

  /** By message. */
  Map<MessageId, Manuscript> read() {
    PartReader parts =
        new PartReader(Catalogue.EMPTY, names.known(), List.of(), FILES, LocalDate.EPOCH);
    Map<MessageId, Manuscript> letters = new LinkedHashMap<>();
    String all = new String(bytes("letters.txt"), StandardCharsets.UTF_8);
    for (String one : all.split("(?m)^" + BEGINS)) {
      if (!one.isBlank()) {
        String[] idAndText = one.split("\n", 2);
        letters.put(
            new MessageId(idAndText[0]), ManuscriptReader.read(idAndText[1], parts).email());
      }
    }
    return letters;
  }

  private static byte[] bytes(String name) {
    try {
      return new ClassPathResource("demo/" + name).getContentAsByteArray();
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }
}
