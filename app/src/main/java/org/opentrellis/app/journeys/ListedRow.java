package org.opentrellis.app.journeys;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/** A journey's card as a list needs it. */
record ListedRow(
    long id,
    String name,
    int version,
    OffsetDateTime savedAt,
    String purpose,
    String state,
    String opening,
    String goal,
    String body,
    int findings,
    @Nullable String worst,
    @Nullable String firstPlace,
    long checkedAt,
    LocalDate checkedOn,
    long checkedCarried,
    @Nullable String sketch) {

  CardMapper.Checked checked() {
    return new CardMapper.Checked(checkedAt, checkedCarried, checkedOn);
  }
}
