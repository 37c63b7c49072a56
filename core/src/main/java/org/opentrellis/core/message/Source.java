package org.opentrellis.core.message;

import org.opentrellis.core.journey.FieldName;

/** What a merge field is filled with. */
public sealed interface Source
    permits Source.FirstName,
        Source.LastName,
        Source.Address,
        Source.OfField,
        Source.SenderName,
        Source.AccountName,
        Source.CartTotal,
        Source.OrderTotal,
        Source.Today {

  /** As a sentence says it. */
  default String said() {
    return switch (this) {
      case FirstName first -> "first name";
      case LastName last -> "last name";
      case Address address -> "email address";
      case OfField field -> field.field().value();
      case SenderName sender -> "sender";
      case AccountName account -> "account";
      case CartTotal cart -> "cart total";
      case OrderTotal order -> "order total";
      case Today today -> "today";
    };
  }

  /** Whether there are people for whom nothing is known here. */
  default boolean mayBeEmpty() {
    return switch (this) {
      case FirstName first -> true;
      case LastName last -> true;
      case OfField field -> true;
      case CartTotal cart -> true;
      case OrderTotal order -> true;
      case Address address -> false;
      case SenderName sender -> false;
      case AccountName account -> false;
      case Today today -> false;
    };
  }

  record FirstName() implements Source {}

  record LastName() implements Source {}

  record Address() implements Source {}

  /** A field of the person's record. */
  record OfField(FieldName field) implements Source {}

  /** Who the message comes from. */
  record SenderName() implements Source {}

  record AccountName() implements Source {}

  /** What is in their cart, summed up. */
  record CartTotal() implements Source {}

  /** What they paid for their last order. */
  record OrderTotal() implements Source {}

  /** The day on which it is sent, by their own clock. */
  record Today() implements Source {}
}
