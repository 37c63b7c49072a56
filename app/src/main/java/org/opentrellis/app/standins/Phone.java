package org.opentrellis.app.standins;

import java.util.List;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.core.journey.TextSegments;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The phone stand-in: takes every text, and sends none on. */
@Service
@Transactional
public class Phone {
  private static final int SHOWN = 100;

  private final PhoneMapper mapper;
  private final AccountClock clock;

  Phone(PhoneMapper mapper, AccountClock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /**
   * A text comes.
   *
   * @param to a number (E.164)
   */
  public void take(String to, String from, String words) {
    mapper.insert(to, from, words, TextSegments.of(words), clock.now());
  }

  /** The newest first. */
  @Transactional(readOnly = true)
  List<PhoneText> newest() {
    return mapper.newest(SHOWN);
  }

  /** A text that came; when, in epoch seconds. */
  record PhoneText(long id, String phone, String sender, String words, int segments, long at) {}
}
