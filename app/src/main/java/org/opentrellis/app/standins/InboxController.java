package org.opentrellis.app.standins;

import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/inbox")
class InboxController {
  private static final int LONGEST_REPLY = 10_000;

  private final Inbox inbox;
  private final MailServer server;
  private final PublicAddress address;
  private final MailProgram program;

  InboxController(Inbox inbox, MailServer server, PublicAddress address, MailProgram program) {
    this.inbox = inbox;
    this.server = server;
    this.address = address;
    this.program = program;
  }

  /**
   * Which mails are asked for; an address stands in no URL.
   *
   * @param address whose mailbox; blank for all
   * @param before mails before this number; null for the newest
   */
  record InboxAsked(String address, @Nullable Long before) {}

  @PostMapping("/pages")
  InboxPage findMails(@RequestBody InboxAsked asked) {
    server.settle();
    long before = asked.before() == null ? Long.MAX_VALUE : asked.before();
    return inbox.page(asked.address(), before, server.host() + ":" + server.port());
  }

  @GetMapping("/{id}")
  InboxMail getMail(@PathVariable long id) {
    return inbox.mail(id, address.base());
  }

  @GetMapping(path = "/{id}/mail.eml", produces = "message/rfc822")
  ResponseEntity<byte[]> getMailFile(@PathVariable long id) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("message/rfc822"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"mail-" + id + ".eml\"")
        .body(inbox.content(id));
  }

  /**
   * What somebody does with a mail.
   *
   * @param link which of its links is clicked, from 0
   */
  record MailDeed(MailProgram.Deed deed, @Nullable Integer link) {}

  /**
   * What the reader of a mail answers.
   *
   * @param words 1 to 10,000 characters
   */
  record Reply(String words) {}

  /** Does with a mail what people and their mail programs do. */
  @PostMapping("/{id}/deeds")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void actOnMail(@PathVariable long id, @RequestBody MailDeed deed) {
    program.act(id, deed.deed(), deed.link() == null ? 0 : deed.link());
  }

  /** Its reader answers a mail, by mail. */
  @PostMapping("/{id}/replies")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void replyToMail(@PathVariable long id, @RequestBody Reply reply) {
    String words = reply.words().strip();
    if (words.isEmpty() || words.length() > LONGEST_REPLY) {
      throw ProblemsFound.badValue(
          "/words", "An answer has 1 to %,d characters.".formatted(LONGEST_REPLY));
    }
    program.reply(id, words);
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void emptyInbox() {
    server.settle();
    inbox.empty();
  }
}
