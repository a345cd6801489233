<?php

declare(strict_types=1);

namespace PlainLedger\Core\Messages;

/** Messages as one mailbox file (RFC 4155, messages by RFC 5322 and 2047, bodies as quoted-printable UTF-8). */
final readonly class Mailbox
{
    /**
     * @param  iterable<array{from: string, to: string, subject: string, body: string, at: int}>  $messages addresses;
     *   seconds since 1970
     */
    public static function of(iterable $messages): string
    {
        $text = '';
        foreach ($messages as $message) {
            $line = static fn (string $value): string => trim((string) preg_replace('~[\r\n]+~', ' ', $value));
            $subject = $line($message['subject']);
            $encoded = preg_match('~[^\x20-\x7E]~', $subject) === 1
                ? mb_encode_mimeheader($subject, 'UTF-8', 'B', "\r\n", 9)
                : $subject;
            $body = quoted_printable_encode(str_replace("\n", "\r\n", str_replace("\r\n", "\n", $message['body'])));
            $text .= 'From '
                .((string) preg_replace('~\s+~', '', $line($message['from'])))
                .' '
                .gmdate('D M d H:i:s Y', $message['at'])
                ."\r\n"
                ."From: <{$line($message['from'])}>\r\nTo: <{$line($message['to'])}>\r\nSubject: {$encoded}\r\nDate: "
                    .gmdate('D, d M Y H:i:s', $message['at'])
                    ." +0000\r\n"
                ."MIME-Version: 1.0\r\nContent-Type: text/plain; charset=UTF-8\r\nContent-Transfer-Encoding: "
                ."quoted-printable\r\n\r\n"
                .preg_replace('~^(>*From )~m', '>$1', $body)."\r\n\r\n";
        }

        return $text;
    }
}
