package org.opentrellis.app.files;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import org.opentrellis.app.account.Account;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.mail.DaysLeftPicture;
import org.opentrellis.mail.PlayMark;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where everybody gets the pictures and files that messages name; part of the public. */
@RestController
class PublicFiles {
  /** Mail is read on pages of others. */
  private static final String WHO_SHOWS_IT = "Cross-Origin-Resource-Policy";

  private static final String ANYBODY = "cross-origin";

  private static final Duration DAY = Duration.ofDays(1);

  private final KeptFiles files;
  private final Account account;
  private final Clock clock;

  PublicFiles(KeptFiles files, Account account, Clock clock) {
    this.files = files;
    this.account = account;
    this.clock = clock;
  }

  /**
   * @param play whether a picture gets the mark of a film
   */
  @GetMapping("/files/{name}")
  ResponseEntity<byte[]> file(
      @PathVariable String name, @RequestParam(defaultValue = "false") boolean play) {
    return files
        .content(name)
        .map(content -> answer(name, content, play))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  private static ResponseEntity<byte[]> answer(
      String name, KeptFiles.Content content, boolean play) {
    boolean picture = content.type().startsWith("image/");
    byte[] bytes = play && picture ? PlayMark.on(content.bytes()) : content.bytes();
    ContentDisposition how =
        (picture ? ContentDisposition.inline() : ContentDisposition.attachment())
            .filename(name, StandardCharsets.UTF_8)
            .build();
    return ResponseEntity.ok()
        .contentType(
            play && picture ? MediaType.IMAGE_PNG : MediaType.parseMediaType(content.type()))
        .header(HttpHeaders.CONTENT_DISPOSITION, how.toString())
        .header("X-Content-Type-Options", "nosniff")
        .header(WHO_SHOWS_IT, ANYBODY)
        .cacheControl(CacheControl.maxAge(DAY))
        .body(bytes);
  }

  /** How many days are left until a moment by the account's clock, as of now. */
  @GetMapping(path = "/o/days-left", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> daysLeft(@RequestParam String until) {
    try {
      OffsetDateTime then = LocalDateTime.parse(until).atZone(account.zone()).toOffsetDateTime();
      long hours =
          Duration.between(OffsetDateTime.now(clock.withZone(ZoneOffset.UTC)), then).toHours();
      return ResponseEntity.ok()
          .cacheControl(CacheControl.noStore())
          .header(WHO_SHOWS_IT, ANYBODY)
          .body(DaysLeftPicture.of(hours, HouseStyle.USUAL.colours()));
    } catch (DateTimeParseException wrong) {
      return ResponseEntity.badRequest().build();
    }
  }
}
