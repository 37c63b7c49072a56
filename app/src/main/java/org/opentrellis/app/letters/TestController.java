package org.opentrellis.app.letters;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.mail.Letter;
import org.opentrellis.mail.MimeWriter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/messages/{id}")
class TestController {
  private static final EmailAddress NOBODY = new EmailAddress("somebody@example.com");

  private final TestSends sends;
  private final Letters letters;

  TestController(TestSends sends, Letters letters) {
    this.sends = sends;
    this.letters = letters;
  }

  @PostMapping("/tests")
  TestSent sendTest(@PathVariable String id, @RequestBody TestOrder order) {
    return sends.send(List.of(new MessageId(id)), order);
  }

  /** The message as a mail, as somebody would get it. */
  @GetMapping(path = "/mail.eml", produces = "message/rfc822")
  ResponseEntity<byte[]> getMessageAsMail(
      @PathVariable String id, @RequestParam @Nullable Long person) {
    byte[] mail =
        MimeWriter.write(
            letters.test(new MessageId(id), new TestOrder(person, null, null), NOBODY));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("message/rfc822"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(id + ".eml", StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(mail);
  }

  /** The message as a page to look at or to print, as somebody would get it. */
  @GetMapping(path = "/page.html", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> getMessageAsPage(
      @PathVariable String id, @RequestParam @Nullable Long person) {
    Letter letter = letters.test(new MessageId(id), new TestOrder(person, null, null), NOBODY);
    return ProofController.sheet(letter.html());
  }

  /** The same as plain text. */
  @GetMapping(path = "/text.txt", produces = MediaType.TEXT_PLAIN_VALUE)
  String getMessageAsText(@PathVariable String id, @RequestParam @Nullable Long person) {
    return letters.test(new MessageId(id), new TestOrder(person, null, null), NOBODY).plain();
  }
}
