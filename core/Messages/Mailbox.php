<?php

declare(strict_types=1);

namespace PlainLedger\Core\Messages;

use DateTimeImmutable;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Exception\ExceptionInterface;
use Symfony\Component\Mime\Header\Headers;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\Part\TextPart;

/** Messages as one mailbox file (RFC 4155), each as RFC 5322 has it, with a quoted-printable body of UTF-8. */
final readonly class Mailbox
{
    /** Of whoever has no address that could be written (RFC 2606, section 2). */
    private const NOBODY = 'nobody@ledger.invalid';

    /**
     * The same messages make the same file, so that a mail program that gets it twice knows them again.
     *
     * @param  iterable<array{from: string, to: string, subject: string, body: string, at: int}>  $messages addresses;
     *   seconds since 1970
     */
    public static function of(iterable $messages): string
    {
        $text = '';
        foreach ($messages as $message) {
            $from = self::address($message['from']);
            $sent = new DateTimeImmutable("@{$message['at']}");
            $written = new Message(self::headers($message, $from, $sent), new TextPart($message['body']));
            [$head, $body] = explode("\r\n\r\n", $written->toString(), 2);
            $text .= "From {$from->getAddress()} {$sent->format('D M d H:i:s Y')}\r\n{$head}\r\n\r\n"
                .preg_replace('~^(>*From )~m', '>$1', rtrim($body, "\r\n"))."\r\n\r\n";
        }

        return $text;
    }

    /** @param  array{from: string, to: string, subject: string, body: string, at: int}  $message */
    private static function headers(array $message, Address $from, DateTimeImmutable $sent): Headers
    {
        $id = substr(hash('sha256', implode("\0", $message)), 0, 32);
        $headers = new Headers;
        $headers->addMailboxListHeader('From', [$from]);
        $headers->addMailboxListHeader('To', [self::address($message['to'])]);
        $headers->addTextHeader('Subject', trim((string) preg_replace('~\s+~', ' ', $message['subject'])));
        $headers->addDateHeader('Date', $sent);
        $headers->addIdHeader('Message-ID', "{$id}@ledger.invalid");

        return $headers;
    }

    private static function address(string $address): Address
    {
        try {
            return new Address($address);
        } catch (ExceptionInterface) {
            return new Address(self::NOBODY);
        }
    }
}
