package org.opentrellis.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Links keep what they had, and lead to the same place. */
class CampaignTest {
  private static final Campaign CAMPAIGN = new Campaign("First frames", "Your planner & more");
  private static final String ADDED =
      "utm_source=newsletter&utm_medium=email&utm_campaign=First%20frames&utm_content=Your%20planner%20%26%20more";

  @ParameterizedTest
  @CsvSource({
    "https://shop.example/hives, https://shop.example/hives?",
    "https://shop.example/hives?a=1%202, https://shop.example/hives?a=1%202&",
    "https://shop.example/h%C3%BCte/, https://shop.example/h%C3%BCte/?"
  })
  void parametersStandBehindWhatWasThere(String before, String after) {
    assertThat(CAMPAIGN.on(before)).isEqualTo(after + ADDED);
  }

  @ParameterizedTest
  @CsvSource({"https://shop.example/hives#kits"})
  void aPlaceInThePageStaysAtTheEnd(String address) {
    assertThat(CAMPAIGN.on(address))
        .startsWith("https://shop.example/hives?utm_")
        .endsWith("#kits");
  }

  @ParameterizedTest
  @CsvSource({"https://shop.example/?utm_campaign=mine&utm_source=me"})
  void whatTheLinkSaysItselfStays(String address) {
    assertThat(CAMPAIGN.on(address))
        .startsWith(address)
        .contains("utm_medium=email")
        .doesNotContain("First%20frames");
  }
}
