package org.opentrellis.app.letters;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.ProductShown;
import org.opentrellis.core.message.Recipient;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.message.Source;

/**
 * Whoever a message is shown to or sent to.
 *
 * @param called as the address line of a mail says
 * @param today by their own clock
 */
record Whoever(
    String called,
    String address,
    Optional<String> firstName,
    Optional<String> lastName,
    Map<FieldName, Operand> fields,
    Optional<Double> cartTotal,
    Optional<Double> orderTotal,
    LocalDate today,
    AccountWriter writer,
    Optional<Sender> sender,
    Predicate<Condition> holding,
    Function<Shown, List<ProductShown>> shop,
    List<NewsEntry> news)
    implements Recipient {

  @Override
  public Optional<Operand> value(Source source) {
    return switch (source) {
      case Source.FirstName first -> words(firstName);
      case Source.LastName last -> words(lastName);
      case Source.Address mail -> words(Optional.of(address));
      case Source.OfField field -> Optional.ofNullable(fields.get(field.field()));
      case Source.SenderName who -> words(sender.map(Sender::name));
      case Source.AccountName who -> words(Optional.of(writer.name()));
      case Source.CartTotal cart -> cartTotal.map(Operand.Number::new);
      case Source.OrderTotal order -> orderTotal.map(Operand.Number::new);
      case Source.Today day -> Optional.of(new Operand.Date(today));
    };
  }

  private static Optional<Operand> words(Optional<String> text) {
    return text.filter(one -> !one.isBlank()).map(Operand.Words::new);
  }

  @Override
  public boolean holds(Condition who) {
    return holding.test(who);
  }

  @Override
  public List<ProductShown> products(Shown which) {
    return shop.apply(which);
  }
}
