package org.opentrellis.app.letters;

import java.nio.charset.StandardCharsets;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/**
 * What links tell the site that they lead to: the campaign parameters that sites count by (UTM).
 *
 * @param journey that sends the mail
 * @param message that it is
 */
record Campaign(String journey, String message) {

  /** An address with the parameters; those that it has already stay. */
  String on(String address) {
    UriComponentsBuilder uri = UriComponentsBuilder.fromUriString(address);
    var had = uri.build().getQueryParams();
    add(uri, had.containsKey("utm_source"), "utm_source", "newsletter");
    add(uri, had.containsKey("utm_medium"), "utm_medium", "email");
    add(uri, had.containsKey("utm_campaign"), "utm_campaign", journey);
    add(uri, had.containsKey("utm_content"), "utm_content", message);
    return uri.build().toUriString();
  }

  private static void add(UriComponentsBuilder uri, boolean there, String name, String value) {
    if (!there) {
      uri.queryParam(name, UriUtils.encode(value, StandardCharsets.UTF_8));
    }
  }
}
