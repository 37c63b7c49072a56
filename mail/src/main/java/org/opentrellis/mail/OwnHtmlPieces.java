package org.opentrellis.mail;

import java.util.ArrayList;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.OwnHtmlReading;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.WebAddress;

/** Own HTML, cleaned, with its links led over the redirect as all others are. */
final class OwnHtmlPieces {
  private OwnHtmlPieces() {}

  static List<Piece> of(String html) {
    Document document = Jsoup.parseBodyFragment(CleanHtml.of(html));
    document.outputSettings().prettyPrint(false);
    List<Piece> leads = new ArrayList<>();
    for (Element link : document.select("a[href]")) {
      String address = link.attr("href");
      if (WebAddress.refusal(address).isPresent()) {
        link.removeAttr("href");
        continue;
      }
      Target to = new Target.Web(address);
      link.attr("href", "lead-" + leads.size() + "-lead");
      leads.add(new Piece.Leads(to, LinksIn.named(OwnHtmlReading.words(link), Link.to(to))));
    }
    String body = document.body().html();
    List<Piece> pieces = new ArrayList<>();
    int end = 0;
    for (int n = 0; n < leads.size(); n++) {
      String token = "href=\"lead-" + n + "-lead\"";
      int at = body.indexOf(token, end);
      pieces.add(new Piece.Fixed(body.substring(end, at) + "href=\""));
      pieces.add(leads.get(n));
      pieces.add(new Piece.Fixed("\""));
      end = at + token.length();
    }
    pieces.add(new Piece.Fixed(body.substring(end)));
    return pieces;
  }
}
