package org.opentrellis.app.entrances;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Notes who has been asked to confirm, each by itself, so that a crash loses nobody. */
@Component
@Transactional
class Asking {
  private final SignUpMapper mapper;

  Asking(SignUpMapper mapper) {
    this.mapper = mapper;
  }

  @Transactional(readOnly = true)
  List<SignUpMapper.SignUpRow> some(long now, int most) {
    return mapper.toBeAsked(now, most);
  }

  /** A mail with this token is about to be handed over. */
  void begin(long id, String tokenHash) {
    mapper.hasToken(id, tokenHash);
  }

  void asked(long id, long at) {
    mapper.asked(id, at);
  }

  void later(long id, long at) {
    mapper.later(id, at);
  }
}
