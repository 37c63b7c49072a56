package org.opentrellis.app.letters;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.LinkName;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What comes back from mails by their tokens. A test says nothing of anybody. */
@Service
@Transactional
class MailAnswers {
  private final SentMailMapper mapper;
  private final ApplicationEventPublisher events;

  MailAnswers(SentMailMapper mapper, ApplicationEventPublisher events) {
    this.mapper = mapper;
    this.events = events;
  }

  /**
   * Where a link of a mail leads.
   *
   * @param to a web address, or a word of {@link RedirectController}
   */
  record Led(String to, boolean test) {}

  /** Nothing if the token or the number is not known. */
  @Transactional(readOnly = true)
  Optional<Led> leads(Token token, int number) {
    return mapper
        .links(token.hash())
        .flatMap(sent -> at(sent.links(), number).map(to -> new Led(to, sent.test())));
  }

  /** Somebody follows a link. */
  void clicked(Token token, int number) {
    mapper
        .links(token.hash())
        .ifPresent(sent -> tell(sent, MailAnswered.Kind.CLICKED, name(sent, number)));
  }

  private static Optional<LinkName> name(SentMailMapper.SentLinks sent, int number) {
    return Optional.ofNullable(sent.names())
        .flatMap(names -> at(names, number))
        .filter(name -> !name.isEmpty())
        .map(LinkName::new);
  }

  /** The picture that tells of an opening was fetched, by a reader or ahead of one. */
  void opened(Token token, boolean ahead) {
    tells(token, ahead ? MailAnswered.Kind.PRE_LOADED : MailAnswered.Kind.OPENED);
  }

  /** Whether there is such a mail, whose reader wants no more of them. */
  boolean unsubscribed(Token token) {
    return tells(token, MailAnswered.Kind.UNSUBSCRIBED);
  }

  /** Whether there is such a mail. */
  private boolean tells(Token token, MailAnswered.Kind kind) {
    Optional<SentMailMapper.SentLinks> sent = mapper.links(token.hash());
    sent.ifPresent(one -> tell(one, kind, Optional.empty()));
    return sent.isPresent();
  }

  private void tell(
      SentMailMapper.SentLinks sent, MailAnswered.Kind kind, Optional<LinkName> link) {
    if (!sent.test() && sent.outbox() != null) {
      events.publishEvent(new MailAnswered(sent.outbox(), kind, link));
    }
  }

  private static Optional<String> at(String list, int number) {
    List<String> all = List.of(Json.read(list, String[].class));
    return number >= 0 && number < all.size() ? Optional.of(all.get(number)) : Optional.empty();
  }
}
