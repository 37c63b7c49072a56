package org.opentrellis.core.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.problem.Refused;

class TextingTest {
  @ParameterizedTest
  @CsvSource({
    "+47 21 23 45 67, +4721234567",
    "Ambercomb, Ambercomb",
    "Hive Kits 1, Hive Kits 1",
    "'  ', ''",
  })
  void aSenderIsANumberOrAFewLetters(String said, String kept) {
    assertThat(new Texting(said, "").sender()).isEqualTo(kept);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"Ambercomb co-op", "Ambercombers", "12345", "+47", "Imkerei\u00e4", "a;b"})
  void whatIsNeitherIsRefused(String said) {
    assertThatThrownBy(() -> new Texting(said, ""))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("11 letters and digits");
  }

  @Test
  void howToStopStandsAtTheEndInALineOfItsOwn() {
    Texting texting = new Texting("Ambercomb", "No more: ambercomb.example/stop");
    assertThat(texting.ended("Frost tonight."))
        .isEqualTo("Frost tonight.\nNo more: ambercomb.example/stop");
    assertThat(texting.ended(" ")).isEqualTo(" ");
    assertThat(Texting.NONE.ended("Frost tonight.")).isEqualTo("Frost tonight.");
  }

  @Test
  void nobodyIsToldToAnswerLetters() {
    assertThat(new Texting("Ambercomb", "Reply STOP").cannotStop())
        .hasValueSatisfying(why -> assertThat(why).contains("Ambercomb", "Reply STOP"));
    assertThat(new Texting("+4721234567", "Reply STOP").cannotStop()).isEmpty();
    assertThat(new Texting("Ambercomb", "No more: ambercomb.example/stop").cannotStop()).isEmpty();
    assertThat(new Texting("Ambercomb", "Send STOP to 60777").cannotStop()).isEmpty();
    assertThat(new Texting("", "Reply STOP").cannotStop()).isEmpty();
  }
}
