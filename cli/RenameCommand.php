<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Remedy\FileMoves\MovePlan;
use PlainLedger\Core\Remedy\FileMoves\MovePlanner;
use PlainLedger\Core\Remedy\FileMoves\MoveRun;
use PlainLedger\Core\Remedy\FileMoves\MoveScript;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `rename`: what a check says about names and places of files, carried out, undone, or handed out as a script. */
#[AsCommand('rename', 'Renames, moves and sets aside files as a check says, or undoes it.')]
final class RenameCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption(
            'check',
            null,
            InputOption::VALUE_REQUIRED,
            'required but for --undo: a check written by “check --format json”; - reads standard input',
        )
            ->addOption('files', null, InputOption::VALUE_REQUIRED, 'required: the folder that was checked')
            ->addOption('dry-run', null, InputOption::VALUE_NONE, 'only say what would be done, which is the default')
            ->addOption('apply', null, InputOption::VALUE_NONE, 'do it')
            ->addOption('undo', null, InputOption::VALUE_NONE, 'undo what was done last in this folder')
            ->addOption('script', null, InputOption::VALUE_REQUIRED, 'write it for where the files are: sh, bat or csv')
            ->setHelp(<<<'HELP'
                Carries out what a check tells to rename, to move and to set aside, file by file. No file is written
                over or deleted: what is set aside lies in the folder _set-aside afterwards, into which no check looks.
                Whatever ends it meanwhile, it is gone on with the next time, and can be undone as one.
                  bin/plain-ledger check --spec spec.json --files renders --format json > check.json
                  bin/plain-ledger rename --check check.json --files renders
                  bin/plain-ledger rename --check check.json --files renders --apply
                  bin/plain-ledger rename --files renders --undo
                  bin/plain-ledger rename --check check.json --files renders --script sh > put-right.sh
                Exit code: 0 done or shown, 3 the input could not be used and nothing was changed.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $folder = $this->needed($input, 'files', 'the folder that was checked');
        $listing = FolderListing::of($folder);
        if ($input->getOption('undo') === true) {
            $count = MoveRun::in($folder)->undo();
            $output->writeln(Text::count($count, 'file').' back to where '.($count === 1 ? 'it was.' : 'they were.'));

            return self::SUCCESS;
        }
        $document = Inputs::check($this->needed($input, 'check', 'what the check said'));
        $run = MoveRun::in($folder);
        if ($input->getOption('apply') === true) {
            // what was begun and not ended comes first, so that the plan is made of what is there
            $run->resume();
        }
        $mark = gmdate('Y-m-d-His');
        $plan = MovePlanner::plan(self::fixes($document), $listing, $mark);
        $script = $input->getOption('script');
        if (is_string($script)) {
            $output->write(self::script($plan, $script), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        $this->tell($plan, $output, $input->getOption('apply') === true);
        if ($input->getOption('apply') === true && ! $plan->isEmpty()) {
            $run->apply($plan, $mark.'-'.bin2hex(random_bytes(3)));
            $output->writeln('Done. Undo it with --undo; check again to see what has changed.');
        }

        return self::SUCCESS;
    }

    /** @return list<array<string, mixed>> */
    private static function fixes(JsonDocument $document): array
    {
        $fixes = is_array($document->data['fixes'] ?? null) ? $document->data['fixes'] : [];

        /** @var list<array<string, mixed>> */
        return array_values(array_filter($fixes, is_array(...)));
    }

    private static function script(MovePlan $plan, string $kind): string
    {
        return match ($kind) {
            'sh' => MoveScript::shell($plan),
            'bat' => MoveScript::batch($plan),
            'csv' => MoveScript::csv($plan),
            default => throw new InvalidOptionException('--script is sh, bat or csv.'),
        };
    }

    private function tell(MovePlan $plan, OutputInterface $output, bool $apply): void
    {
        if ($plan->isEmpty()) {
            $output->writeln('There is nothing to rename, to move or to set aside.');
        }
        foreach ($plan->folded() as $fold) {
            $frames = $fold['frames'] === '' ? '' : " {$fold['frames']}";
            $output->writeln(
                "{$fold['from']} → {$fold['to']}{$frames}, ".Text::count($fold['count'], 'file'),
                OutputInterface::OUTPUT_RAW,
            );
        }
        foreach ($plan->left as $left) {
            $output->writeln("Left to do: {$left}", OutputInterface::OUTPUT_RAW);
        }
        if (! $apply && ! $plan->isEmpty()) {
            $output->writeln('Nothing was renamed yet; --apply does it.');
        }
    }

    private function needed(InputInterface $input, string $option, string $what): string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== ''
            ? $value
            : throw new InvalidOptionException("--{$option} is needed: {$what}.");
    }
}
