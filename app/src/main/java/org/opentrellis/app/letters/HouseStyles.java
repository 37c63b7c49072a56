package org.opentrellis.app.letters;

import java.util.Arrays;
import java.util.List;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.message.Contrasts;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Typeface;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How all messages and pages look. */
@Service
@Transactional
public class HouseStyles {
  private final HouseStyleMapper mapper;
  private final Account account;

  HouseStyles(HouseStyleMapper mapper, Account account) {
    this.mapper = mapper;
    this.account = account;
  }

  public HouseStyle current() {
    return mapper
        .find()
        .map(row -> Documents.readHouseStyle(Json.tree(row.document())))
        .orElse(HouseStyle.USUAL);
  }

  /** What stands around every letter. */
  public Letterhead letterhead() {
    return letterhead(account.writer());
  }

  /** The same, in the name of whoever writes. */
  Letterhead letterhead(AccountWriter writer) {
    return new Letterhead(writer.name(), writer.postalAddress(), writer.regional(), current());
  }

  /** Says how all messages look, as long as nobody has said so. */
  public void keep(HouseStyle style) {
    if (mapper.find().isEmpty()) {
      mapper.insert(Json.write(Documents.write(style)));
    }
  }

  HouseStyleView view() {
    int version = mapper.find().map(HouseStyleMapper.StyleRow::version).orElse(0);
    return view(current(), version);
  }

  /** How a style would be, without keeping it. */
  HouseStyleView look(HouseStyleOrder order) {
    return view(read(order), order.version());
  }

  private static HouseStyleView view(HouseStyle style, int version) {
    return new HouseStyleView(
        Documents.write(style),
        version,
        Contrasts.of(style.colours()).stream()
            .map(
                one ->
                    new HouseStyleView.Contrast(
                        one.what(), one.ratio(), one.least(), one.enough(), one.sentence()))
            .toList(),
        typefaces());
  }

  private static List<HouseStyleView.TypefaceChoice> typefaces() {
    return Arrays.stream(Typeface.values())
        .map(one -> new HouseStyleView.TypefaceChoice(one.name(), one.words(), one.families()))
        .toList();
  }

  private static HouseStyle read(HouseStyleOrder order) {
    return ProblemsFound.within("/style", () -> Documents.readHouseStyle(order.style()));
  }

  /**
   * @throws SaveLost if somebody else has changed it since
   * @throws ProblemsFound if something cannot be so
   */
  HouseStyleView set(HouseStyleOrder order) {
    String document = Json.write(Documents.write(read(order)));
    boolean first = order.version() == 0 && mapper.find().isEmpty();
    if (first) {
      mapper.insert(document);
    } else if (mapper.update(document, order.version()) == 0) {
      throw new SaveLost(
          "Somebody else has changed the house style since you opened it.", view(), order);
    }
    return view();
  }
}
