<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDraft;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `proofread`: specifications against themselves, and several against each other. */
#[AsCommand('proofread', 'Reads a specification against itself: what in it cannot all be met.')]
final class ProofreadCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption(
            'spec',
            null,
            InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
            'required: the specification; given several times, they are also compared with each other',
        )
            ->addOption('json', null, InputOption::VALUE_NONE, 'as one JSON object')
            ->setHelp(<<<'HELP'
                Names requirements that cannot all be met, and, of several specifications, those that would write
                the same path.

                  bin/plain-ledger proofread --spec spec.json
                  bin/plain-ledger proofread --spec TC_010.json --spec TC_020.json --json

                Exit code: 0 nothing contradicts itself, 1 something does, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        /** @var list<string> $paths */
        $paths = $input->getOption('spec');
        if ($paths === []) {
            throw new InvalidOptionException('--spec FILE is needed: the specification to read.');
        }
        $drafts = [];
        foreach ($paths as $path) {
            $drafts[Text::shown($path)] = $this->draft($path);
        }
        $found = Proofreader::standard()->readAll($drafts);
        $many = count($drafts) > 1;
        if ($input->getOption('json') === true) {
            $findings = [];
            foreach ($found as $path => $conflicts) {
                foreach ($conflicts as $conflict) {
                    $findings[] = ($many ? ['specification' => $path] : []) + $conflict->toArray();
                }
            }
            $output->writeln(
                json_encode(
                    ['findings' => $findings],
                    JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $output->write($this->text($drafts, $found), false, OutputInterface::OUTPUT_RAW);
        }

        return $found === [] ? self::SUCCESS : self::FAILURE;
    }

    private function draft(string $path): SpecificationDraft
    {
        $document = Inputs::document($path, Specification::FORMAT);

        return Specification::draft(new Layer(SetBy::Specification, $document->data, $document->label));
    }

    /**
     * @param  array<string, SpecificationDraft>  $drafts
     * @param  array<string, list<Conflict>>  $found
     */
    private function text(array $drafts, array $found): string
    {
        $text = '';
        foreach ($drafts as $path => $draft) {
            $text .= count($drafts) > 1 ? "{$path}\n" : '';
            foreach ($found[$path] ?? [] as $conflict) {
                $part = count($draft->specification->parts) > 1 ? " ({$conflict->part})" : '';
                $text .= implode(', ', $conflict->requirements)."{$part}\n    {$conflict->says}\n";
                foreach ($conflict->resolutions as $resolution) {
                    $text .= "    - {$resolution->says}\n";
                }
            }
            foreach ($draft->specification->notUnderstood as $key) {
                $text .= "not understood, and kept: {$key}\n";
            }
            $text .= ($found[$path] ?? []) === [] ? "Nothing contradicts itself.\n" : '';
        }

        return $text;
    }
}
