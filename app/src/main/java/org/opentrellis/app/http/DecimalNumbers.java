package org.opentrellis.app.http;

import java.beans.PropertyEditorSupport;
import java.util.function.Function;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/**
 * Whole numbers in addresses are decimal: {@code 0x10} is no 16 and {@code #8} no 8. (Editors,
 * since Spring tries its own after a converter that refuses, and those read both.)
 */
@ControllerAdvice
class DecimalNumbers {

  @InitBinder
  void readDecimalsOnly(WebDataBinder binder) {
    binder.registerCustomEditor(long.class, new Decimal(Long::valueOf));
    binder.registerCustomEditor(Long.class, new Decimal(Long::valueOf));
    binder.registerCustomEditor(int.class, new Decimal(Integer::valueOf));
    binder.registerCustomEditor(Integer.class, new Decimal(Integer::valueOf));
  }

  private static final class Decimal extends PropertyEditorSupport {
    private final Function<String, Number> read;

    Decimal(Function<String, Number> read) {
      this.read = read;
    }

    @Override
    public void setAsText(String text) {
      if (!text.matches("0|-?[1-9][0-9]*")) {
        throw new NumberFormatException("a decimal number is needed, not " + text);
      }
      setValue(read.apply(text));
    }
  }
}
