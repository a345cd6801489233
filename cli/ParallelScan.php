<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\ReadShare;
use PlainLedger\Core\Delivery\Scan;
use Symfony\Component\Console\Exception\InvalidOptionException;

/** A scan whose files are read by several processes, which share what was listed. */
final readonly class ParallelScan
{
    public const OPTION = 'how many processes read files at the same time';

    private const MOST = 32;

    /** Of fewer files for each it is not worth a process. */
    private const LEAST = 100;

    private function __construct(private int $jobs) {}

    /** @throws InvalidOptionException */
    public static function of(mixed $option): self
    {
        if (! is_string($option) || ! ctype_digit($option) || (int) $option < 1 || (int) $option > self::MOST) {
            throw new InvalidOptionException('--jobs is a number from 1 to '.self::MOST.'.');
        }

        return new self((int) $option);
    }

    public function run(Scan $scan, Listing $listing, int $now): Delivery
    {
        // an archive is one open file, and its place in it would be shared too
        if ($this->jobs < 2 || ! $listing instanceof FolderListing || ! function_exists('pcntl_fork')) {
            return $scan->run($now);
        }
        $scan->upcoming(1);
        $files = $scan->progress()->all ?? 0;
        $jobs = min($this->jobs, intdiv($files, self::LEAST));
        if ($jobs > 1) {
            $this->share($scan, $jobs, (int) ceil($files / $jobs));
        }

        return $scan->run($now);
    }

    /** @param  int  $each  files of one process */
    private function share(Scan $scan, int $jobs, int $each): void
    {
        $others = [];
        for ($job = 1; $job < $jobs; $job++) {
            $others[] = self::begin($scan, $job * $each, $each);
        }
        $scan->readOn($each);
        foreach ($others as $other) {
            $share = $other === null ? null : self::told(...$other);
            // one that ended without a word has its share read here
            $share === null ? $scan->readOn($each) : $scan->takeShare($share);
        }
    }

    /** @return array{resource, int}|null where its answer comes from, and the process; null where none could begin */
    private static function begin(Scan $scan, int $skip, int $count): ?array
    {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
        $process = $pair === false ? -1 : pcntl_fork();
        if ($pair === false || $process === -1) {
            return null;
        }
        if ($process > 0) {
            fclose($pair[1]);

            return [$pair[0], $process];
        }
        fclose($pair[0]);
        try {
            fwrite($pair[1], serialize($scan->readShare($skip, $count)));
            fclose($pair[1]);
        } finally {
            // nothing that was begun before the two parted is ended twice
            posix_kill(posix_getpid(), SIGKILL);
        }
        exit(1);
    }

    /** @param  resource  $answer */
    private static function told($answer, int $process): ?ReadShare
    {
        $text = (string) stream_get_contents($answer);
        pcntl_waitpid($process, $status);
        // from a process of our own, by a way that nobody else has
        $share = $text === '' ? null : @unserialize($text);

        return $share instanceof ReadShare ? $share : null;
    }
}
