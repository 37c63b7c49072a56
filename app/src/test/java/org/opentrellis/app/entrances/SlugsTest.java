package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An address that can be read aloud, and that nobody else has. */
class SlugsTest {
  @ParameterizedTest
  @CsvSource({
    "Planner on the website, planner-on-the-website",
    "'  Bee & hive: 2027! ', bee-hive-2027",
    "\u00c6bler og \u00e5l, bler-og-al",
    "M\u00fcnchner Imkertag, munchner-imkertag",
    "\u8702, form",
    "../../api, api",
    "entrance.css, entrance-css",
  })
  void ofAName(String name, String slug) {
    assertThat(Slugs.of(name, taken -> false)).isEqualTo(slug).matches("[a-z0-9-]+");
  }

  @Test
  void theNextOneThatIsFree() {
    assertThat(Slugs.of("Planner", Set.of("planner", "planner-2")::contains))
        .isEqualTo("planner-3");
  }

  @Test
  void neverTooLong() {
    assertThat(Slugs.of("a".repeat(80), taken -> taken.length() <= 60)).hasSizeLessThan(80);
  }
}
