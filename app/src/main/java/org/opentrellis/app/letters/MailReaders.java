package org.opentrellis.app.letters;

import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who comes by the link of a mail that only they got. */
@Service
@Transactional
public class MailReaders {
  private final SentMailMapper mapper;
  private final MailAnswers answers;

  MailReaders(SentMailMapper mapper, MailAnswers answers) {
    this.mapper = mapper;
    this.answers = answers;
  }

  /**
   * Somebody with a mail of ours.
   *
   * @param person their number; empty if the mail was a test
   */
  public record Reader(OptionalLong person) {}

  /** Nobody if no mail has this token, or whoever got it was forgotten. */
  @Transactional(readOnly = true)
  public Optional<Reader> of(String token) {
    return mapper
        .reader(new Token(token).hash())
        .map(
            row ->
                new Reader(
                    row.person() == null ? OptionalLong.empty() : OptionalLong.of(row.person())));
  }

  /** They want no more email. */
  public void unsubscribes(String token) {
    answers.unsubscribed(new Token(token));
  }
}
