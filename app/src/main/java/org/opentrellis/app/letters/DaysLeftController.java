package org.opentrellis.app.letters;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.http.ShownAnywhere;
import org.opentrellis.mail.DaysLeftPicture;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How many days are left until something, as a picture in mail; part of the public. */
@RestController
class DaysLeftController {
  private final HouseStyles styles;
  private final Account account;
  private final Clock clock;

  DaysLeftController(HouseStyles styles, Account account, Clock clock) {
    this.styles = styles;
    this.account = account;
    this.clock = clock;
  }

  /**
   * As of now, in the colours of the house.
   *
   * @param until a moment by the account's clock
   */
  @GetMapping(path = "/o/days-left", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> daysLeft(@RequestParam String until) {
    try {
      OffsetDateTime then = LocalDateTime.parse(until).atZone(account.zone()).toOffsetDateTime();
      long hours =
          Duration.between(OffsetDateTime.now(clock.withZone(ZoneOffset.UTC)), then).toHours();
      return ResponseEntity.ok()
          .cacheControl(CacheControl.noStore())
          .headers(ShownAnywhere::mark)
          .body(DaysLeftPicture.of(hours, styles.current().colours()));
    } catch (DateTimeParseException wrong) {
      return ResponseEntity.badRequest().build();
    }
  }
}
