package org.opentrellis.core.export;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class CsvTest {
  /** RFC 4180: quotes are doubled, and what holds a comma or a quote stands in quotes. */
  @Test
  void fieldsAreQuotedWhereTheyMust() {
    assertThat(new Csv("a", "b").line("x, y", "b\"bb").line(null, 1.5).toString())
        .isEqualTo("a,b\r\n\"x, y\",\"b\"\"bb\"\r\n\"\",1.5\r\n");
  }

  @Test
  void noTextIsTakenForAFormula() {
    for (String formula : new String[] {"=1+1", "+1", "-1", "@a"}) {
      assertThat(new Csv("a").line(formula).toString()).contains("'" + formula);
    }
    assertThat(new Csv("a").line(-1).toString()).isEqualTo("a\r\n-1\r\n");
  }
}
