package org.opentrellis.app.letters;

import java.util.Optional;
import org.opentrellis.app.files.KeptFileView;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;
import org.opentrellis.mail.Addresses;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriUtils;

/** Where links and pictures lead in a proof: right there, and nothing is counted. */
@Component
class ProofAddresses implements Addresses {
  private final KeptFiles files;

  ProofAddresses(KeptFiles files) {
    this.files = files;
  }

  @Override
  public String link(Target to, Optional<LinkName> name) {
    return switch (to) {
      case Target.Web web -> web.address();
      case Target.KeptFile file -> picture(file.file(), false);
      case Target.Cart cart -> "#cart";
      case Target.Choices choices -> "#choices";
      case Target.Unsubscribe unsubscribe -> "#unsubscribe";
    };
  }

  @Override
  public String picture(FileName file, boolean withPlayMark) {
    String address =
        files
            .find(file)
            .map(KeptFileView::address)
            .orElse("/files/" + UriUtils.encodePathSegment(file.value(), "UTF-8"));
    return withPlayMark ? address + (address.contains("?") ? "&" : "?") + "play=true" : address;
  }

  @Override
  public String daysLeft(Part.Countdown countdown) {
    return "/o/days-left?until=" + countdown.until().map(Object::toString).orElse("");
  }

  @Override
  public Optional<String> openMark() {
    return Optional.empty();
  }
}
