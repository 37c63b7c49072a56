package org.opentrellis.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What begins like a formula is made a text by an apostrophe (OWASP, "CSV Injection", from memory),
 * and everything comes back as it was.
 */
class FormulasTest {
  @ParameterizedTest
  @ValueSource(strings = {"=1+2", "+4721234567", "-3", "@SUM(A1)", "\tx", "\rx"})
  void aFormulaBecomesAText(String text) {
    assertThat(Formulas.guarded(text)).isEqualTo("'" + text);
    assertThat(Formulas.unguarded(Formulas.guarded(text))).isEqualTo(text);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "Mira", "'", "'t Hooft", "1-2", " =1"})
  void anythingElseStays(String text) {
    assertThat(Formulas.guarded(text)).isEqualTo(text);
    assertThat(Formulas.unguarded(text)).isEqualTo(text);
  }
}
