package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What may stand in a name. Code points by Unicode 15: UAX #9 section 2, and sections 23.6, 23.7.
 */
class CharactersTest {

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Meet a keeper",
        "Bienenstöcke & Rähmchen",
        "\u0645\u0631\u062D\u0628\u0627",
        "\u0645\u06CC\u200C\u062E\u0648\u0627\u0647\u0645",
        "\uD83D\uDC1D\u200D\uD83D\uDC1D",
        "e\u0301",
        "3 < 4"
      })
  void whatPeopleWriteMayStand(String name) {
    assertThat(Characters.refusal(name)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "a\u0000b",
        "a\nb",
        "a\u0085b",
        "a\u202Eb",
        "a\u2066b",
        "a\u200Fb",
        "\uD800",
        "a\uDC00b",
        "\uFFFE",
        "a\uFDD0",
        "\uDBFF\uDFFF",
        "\u200B",
        "\u200D\u2060 ",
        "\u3164"
      })
  void whatDeceivesOrIsNoneMayNot(String name) {
    assertThat(Characters.refusal(name)).isPresent();
  }

  /** Whatever may stand can be written into an event log: XML 1.0, production 2, Char. */
  @Test
  void everyCharacterThatMayStandCanBeWrittenToXml() throws Exception {
    StringBuilder all = new StringBuilder();
    for (int point = 0; point <= Character.MAX_CODE_POINT; point++) {
      String one = new String(Character.toChars(point));
      if (Characters.refusal("a" + one).isEmpty() && one.indexOf('<') < 0 && one.indexOf('&') < 0) {
        all.append(one);
      }
    }
    assertThat(all.codePointCount(0, all.length())).isGreaterThan(1_000_000);
    byte[] document = ("<a>" + all + "</a>").getBytes(StandardCharsets.UTF_8);
    DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new ByteArrayInputStream(document));
  }
}
