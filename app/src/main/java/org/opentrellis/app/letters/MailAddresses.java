package org.opentrellis.app.letters;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;
import org.opentrellis.mail.Addresses;

/**
 * Where the links of one mail lead: over the application, each by the mail's token and its own
 * number, so that a token leads only where the message said.
 */
final class MailAddresses implements Addresses {
  private final String base;
  private final Token token;
  private final ProofAddresses here;
  private final Optional<Campaign> campaign;
  private final boolean tracked;
  private final Map<Led, Integer> links = new LinkedHashMap<>();

  private record Led(Target to, Optional<LinkName> name) {}

  /**
   * @param campaign what links tell the site that they lead to, if anything
   * @param tracked whether the mail tells that it was opened
   */
  MailAddresses(
      String base, Token token, ProofAddresses here, Optional<Campaign> campaign, boolean tracked) {
    this.base = base;
    this.token = token;
    this.here = here;
    this.campaign = campaign;
    this.tracked = tracked;
  }

  /** Of a test, which tells nobody anything. */
  static MailAddresses ofTest(String base, Token token, ProofAddresses here) {
    return new MailAddresses(base, token, here, Optional.empty(), false);
  }

  @Override
  public String link(Target to, Optional<LinkName> name) {
    Led led = new Led(to, name);
    Integer number = links.get(led);
    if (number == null) {
      number = links.size();
      links.put(led, number);
    }
    return base + "/r/" + token.value() + "/" + number;
  }

  /** Where each number leads, once the mail is written. */
  List<String> destinations() {
    return links.keySet().stream()
        .map(
            led ->
                switch (led.to()) {
                  case Target.Web web ->
                      campaign.map(one -> one.on(web.address())).orElse(web.address());
                  case Target.KeptFile file -> base + here.picture(file.file(), false);
                  case Target.Cart cart -> RedirectController.CART;
                  case Target.Choices choices -> RedirectController.CHOICES;
                  case Target.Unsubscribe unsubscribe -> RedirectController.UNSUBSCRIBE;
                })
        .toList();
  }

  /** What each is called, in the same order; empty for those without a name. */
  List<String> names() {
    return links.keySet().stream().map(led -> led.name().map(LinkName::value).orElse("")).toList();
  }

  @Override
  public String picture(FileName file, boolean withPlayMark) {
    return base + here.picture(file, withPlayMark);
  }

  @Override
  public String daysLeft(Part.Countdown countdown) {
    return base + here.daysLeft(countdown);
  }

  @Override
  public Optional<String> openMark() {
    return tracked
        ? Optional.of(base + "/o/" + token.value() + OpenMarkController.ENDING)
        : Optional.empty();
  }
}
