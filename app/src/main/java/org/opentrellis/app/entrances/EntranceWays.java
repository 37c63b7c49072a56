package org.opentrellis.app.entrances;

import org.opentrellis.app.http.PublicAddress;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** How an entrance is put elsewhere. */
@Component
class EntranceWays {
  private static final String FRAME =
      "<iframe src=\"%s\" title=\"%s\" width=\"100%%\" height=\"560\" style=\"border: 0\"></iframe>";
  private static final String CARD =
      "<script src=\"%s/card.js\" data-title=\"%s\" data-after=\"8\" async></script>";

  private final PublicAddress address;

  EntranceWays(PublicAddress address) {
    this.address = address;
  }

  /** Its address, as the public has it. */
  String link(EntranceRow row) {
    return address.base() + "/e/" + row.slug();
  }

  EntranceView.Ways of(EntranceRow row) {
    String link = link(row);
    String title = HtmlUtils.htmlEscape(row.entrance().title());
    return new EntranceView.Ways(link, FRAME.formatted(link, title), CARD.formatted(link, title));
  }
}
