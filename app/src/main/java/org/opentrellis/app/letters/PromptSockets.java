package org.opentrellis.app.letters;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import javax.net.SocketFactory;

/**
 * Sockets that send each piece at once (TCP_NODELAY): SMTP is questions and answers, and each would
 * otherwise wait for the acknowledgement of the one before it.
 */
final class PromptSockets extends SocketFactory {
  private final SocketFactory plain = SocketFactory.getDefault();

  @Override
  public Socket createSocket() throws IOException {
    return prompt(plain.createSocket());
  }

  @Override
  public Socket createSocket(String host, int port) throws IOException {
    return prompt(plain.createSocket(host, port));
  }

  @Override
  public Socket createSocket(String host, int port, InetAddress here, int herePort)
      throws IOException {
    return prompt(plain.createSocket(host, port, here, herePort));
  }

  @Override
  public Socket createSocket(InetAddress host, int port) throws IOException {
    return prompt(plain.createSocket(host, port));
  }

  @Override
  public Socket createSocket(InetAddress host, int port, InetAddress here, int herePort)
      throws IOException {
    return prompt(plain.createSocket(host, port, here, herePort));
  }

  private static Socket prompt(Socket socket) throws IOException {
    socket.setTcpNoDelay(true);
    return socket;
  }
}
