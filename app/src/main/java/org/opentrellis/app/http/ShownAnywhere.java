package org.opentrellis.app.http;

import org.springframework.http.HttpHeaders;

/** What lets the pages of others show a picture: mail is read on them. */
public final class ShownAnywhere {
  private ShownAnywhere() {}

  public static void mark(HttpHeaders headers) {
    headers.set("Cross-Origin-Resource-Policy", "cross-origin");
  }
}
