package org.opentrellis.app.http;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** A request that is refused for a reason that its user can do something about. */
public final class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final HttpStatus status;
  private final String code;
  private final @Nullable Duration retryAfter;

  /**
   * @param code stable, for programs
   * @param sentence what is wrong and what to do
   * @param retryAfter when it may be tried again, if that helps
   */
  public Refusal(HttpStatus status, String code, String sentence, @Nullable Duration retryAfter) {
    super(sentence);
    this.status = status;
    this.code = code;
    this.retryAfter = retryAfter;
  }

  HttpStatus status() {
    return status;
  }

  String code() {
    return code;
  }

  @Nullable Duration retryAfter() {
    return retryAfter;
  }
}
