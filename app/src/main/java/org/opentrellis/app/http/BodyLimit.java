package org.opentrellis.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.TrellisSettings;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses bodies that are larger than any journey, or than any table if they are one, whether or
 * not they say their length.
 */
@Component
class BodyLimit extends OncePerRequestFilter {
  private final long mostBytes;
  private final long mostBytesOfTable;
  private final long mostBytesOfFile;
  private final ProblemWriter problems;

  BodyLimit(TrellisSettings settings, ProblemWriter problems) {
    this.mostBytes = settings.largestBody().toBytes();
    this.mostBytesOfTable = settings.largestTable().toBytes();
    this.mostBytesOfFile = settings.largestFile().toBytes();
    this.problems = problems;
  }

  static ProblemDetail tooLarge() {
    return ProblemHandler.detail(
        HttpStatus.CONTENT_TOO_LARGE,
        "body-too-large",
        "The request is too large: a journey takes at most 1 MB, a file 10 MB, a table 20 MB. Nothing was saved.");
  }

  static boolean exceeded(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof TooLong) {
        return true;
      }
    }
    return false;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String type = request.getContentType();
    long most = mostBytes(type == null ? "" : type);
    if (request.getContentLengthLong() <= most) {
      chain.doFilter(new Limited(request, most), response);
      return;
    }
    problems.write(response, tooLarge());
  }

  private long mostBytes(String type) {
    if (type.startsWith("text/csv")) {
      return mostBytesOfTable;
    }
    return type.startsWith("application/octet-stream") ? mostBytesOfFile : mostBytes;
  }

  /** Thrown when a body turns out longer than it may be. */
  private static final class TooLong extends IOException {
    private static final long serialVersionUID = 1L;
  }

  private static final class Limited extends HttpServletRequestWrapper {
    private final long mostBytes;

    Limited(HttpServletRequest request, long mostBytes) {
      super(request);
      this.mostBytes = mostBytes;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      return new Counting(super.getInputStream(), mostBytes);
    }
  }

  private static final class Counting extends ServletInputStream {
    private final ServletInputStream body;
    private long left;

    Counting(ServletInputStream body, long mostBytes) {
      this.body = body;
      this.left = mostBytes;
    }

    @Override
    public int read() throws IOException {
      int one = body.read();
      count(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      int read = body.read(into, offset, length);
      count(Math.max(0, read));
      return read;
    }

    private void count(int bytes) throws TooLong {
      left -= bytes;
      if (left < 0) {
        throw new TooLong();
      }
    }

    @Override
    public boolean isFinished() {
      return body.isFinished();
    }

    @Override
    public boolean isReady() {
      return body.isReady();
    }

    @Override
    public void setReadListener(@Nullable ReadListener listener) {
      body.setReadListener(listener);
    }
  }
}
