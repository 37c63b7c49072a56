package org.opentrellis.mail;

import java.util.Optional;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.message.LinkAddresses;
import org.opentrellis.core.message.Part;

/** Where the links and pictures of one mail are. All are whole web addresses. */
public interface Addresses extends LinkAddresses {
  String picture(FileName file, boolean withPlayMark);

  /** A picture that shows how many days are left whenever it is fetched. */
  String daysLeft(Part.Countdown countdown);

  /** A picture whose being fetched says that the mail was opened; empty if nobody wants to know. */
  Optional<String> openMark();
}
