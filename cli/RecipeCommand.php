<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\Writers\RecipeCommands;
use PlainLedger\Core\Assembly\Writers\RecipeJson;
use PlainLedger\Core\Assembly\Writers\RecipeText;
use PlainLedger\Core\Assembly\Writers\RecipeTimeline;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Specification\Specification;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `recipe`: how a movie is made from its frames. */
#[AsCommand('recipe', 'Says every setting with which a movie is made from its frames.')]
final class RecipeCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption(
            'spec',
            null,
            InputOption::VALUE_REQUIRED,
            'required: the specification, a plain-ledger/specification document; - reads standard input',
        )
            ->addOption('files', null, InputOption::VALUE_REQUIRED, 'a folder or a zip with the frames, as they are')
            ->addOption('part', null, InputOption::VALUE_REQUIRED, 'the movie, where several are asked')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text, json, otio or commands', 'text')
            ->setHelp(<<<'HELP'
                Says what to set where a movie is assembled, from what is asked and from the frames that are there.

                  bin/plain-ledger recipe --spec spec.json --files renders/
                  bin/plain-ledger recipe --spec spec.json --files renders/ --format commands > assemble.sh
                  bin/plain-ledger recipe --spec spec.json --format otio > assembly.otio
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $spec = self::text($input, 'spec')
            ?? throw new InvalidOptionException('--spec FILE is needed: the specification that asks for the movie.');
        $write = match (self::text($input, 'format')) {
            'text' => RecipeText::write(...),
            'json' => RecipeJson::write(...),
            'otio' => RecipeTimeline::write(...),
            'commands', 'sh' => RecipeCommands::write(...),
            default => throw new InvalidOptionException('--format is text, json, otio or commands.'),
        };
        $specification = Inputs::specification($spec);
        $files = self::text($input, 'files');
        $match = $files === null ? null : self::found($specification, $files);
        $recipe = Recipe::of($specification, self::text($input, 'part'), $match);
        $output->write($write($recipe), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    private static function found(Specification $specification, string $files): DeliveryMatch
    {
        $delivery = (new Scan(PlaceListing::of($files), Probe::standard()))->run(time());

        return Matcher::match($specification, $delivery);
    }

    private static function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
