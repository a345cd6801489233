<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Application;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\CommandNotFoundException;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;

/** The console program. What cannot be used is told in one plain line on standard error, with exit code 3. */
final readonly class Program
{
    public const UNUSABLE = 3;

    /** @param  list<string>  $argv */
    public static function main(array $argv): int
    {
        ini_set('memory_limit', '1G');
        ini_set('display_errors', '0');
        ini_set('log_errors', '0');
        register_shutdown_function(self::tellsOfItsEnd(...));
        // long lists of numbers and names make the engine's default limits of the pattern matcher too small
        ini_set('pcre.backtrack_limit', '10000000');
        $application = new Application('plain-ledger', '1.0');
        $application->setAutoExit(false);
        $application->setCatchExceptions(false);
        $application->add(new ProbeCommand);
        $application->add(new CheckCommand);
        $application->add(new TreeCommand);
        $application->add(new CompareCommand);
        $application->add(new RenameCommand);
        $application->add(new ProofreadCommand);
        $application->add(new SheetCommand);
        $application->add(new RecipeCommand);
        $application->add(new RetagCommand);
        $application->add(new ScenesCommand);
        $application->add(new LogCommand);
        $application->add(new SealCommand);
        $application->add(new VerifyCommand);
        $application->add(new PackCommand);
        $application->add(new PracticeCommand);
        $application->add(new CourseCommand);
        try {
            self::knows($application, $argv[1] ?? '');

            return $application->run(new ArgvInput(self::joined($argv)), new ConsoleOutput);
        } catch (PlainSentence|ExceptionInterface $refused) {
            fwrite(STDERR, Text::shown(trim((string) preg_replace('~\s+~', ' ', $refused->getMessage())))."\n");

            return self::UNUSABLE;
        } catch (\Throwable $fault) {
            fwrite(
                STDERR,
                'Something in the program went wrong, and nothing was changed: '
                    .Text::shown($fault->getMessage())
                    .' ('
                    .basename($fault->getFile())
                    .':'
                    .$fault->getLine()
                    .")\n",
            );

            return self::UNUSABLE;
        }
    }

    /** What no limit foresaw still ends in a sentence. */
    private static function tellsOfItsEnd(): void
    {
        $fault = error_get_last();
        if ($fault === null || ! in_array($fault['type'], [E_ERROR, E_CORE_ERROR, E_COMPILE_ERROR], true)) {
            return;
        }
        $memory = str_contains($fault['message'], 'Allowed memory size');
        fwrite(
            STDERR,
            $memory
                ? "This takes more memory than there is for it, 1 GB. Check a folder further down.\n"
                : "Something in the program went wrong, and nothing was changed.\n",
        );
        exit(self::UNUSABLE);
    }

    /**
     * A dash alone is what an option is given, standard input, and not the next option; and help of no command is the
     * list of them.
     *
     * @param  list<string>  $argv
     * @return list<string>
     */
    private static function joined(array $argv): array
    {
        $joined = [];
        foreach ($argv as $argument) {
            $last = count($joined) - 1;
            if ($argument === '-' && $last > 0 && preg_match('~^--[a-z][a-z-]*$~', $joined[$last]) === 1) {
                $joined[$last] .= '=-';
            } else {
                $joined[] = $argument;
            }
        }

        return in_array(array_slice($joined, 1), [['--help'], ['-h'], ['help']], true) ? [$joined[0], 'list'] : $joined;
    }

    /**
     * An unknown command is refused; a question what was meant would wait for an answer that no script gives.
     *
     * @throws CommandNotFoundException
     */
    private static function knows(Application $application, string $command): void
    {
        if ($command === '' || $command[0] === '-' || $application->has($command)) {
            return;
        }
        $names = array_keys(
            array_filter(
                $application->all(),
                static fn (Command $c): bool => ! $c->isHidden()
                    && ! in_array($c->getName(), ['completion', 'list', 'help'], true),
            ),
        );
        $near = array_filter($names, static fn (string $n): bool => levenshtein($n, $command) <= 2);
        throw new CommandNotFoundException(
            'The command “'
                .Text::shown($command)
                .'” is not defined'
                .(
                    $near === []
                        ? '; there are '.implode(', ', $names).'.'
                        : '; did you mean '.implode(' or ', $near).'?'
                ),
        );
    }
}
