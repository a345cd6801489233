<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Course\CourseLearner;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\DeliveryPrint;
use PlainLedger\Core\Course\Gradebook;
use PlainLedger\Core\Course\RosterFiles;
use PlainLedger\Core\Course\RosterPerson;
use PlainLedger\Core\Course\SameFiles;
use PlainLedger\Core\Course\SharedTraits;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Tabular\Csv;
use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `course`: a class's points, rosters, gradebooks, and whose files are the same. */
#[AsCommand('course', 'Judges a class, reads rosters, fills gradebooks, tells whose files are the same.')]
final class CourseCommand extends Command
{
    private const LARGEST = 20_000_000;

    protected function configure(): void
    {
        $this->addArgument('what', InputArgument::REQUIRED, 'points, same, roster or gradebook')
            ->addArgument('files', InputArgument::IS_ARRAY, 'roster: its files; gradebook: the one to be filled')
            ->addOption('class', null, InputOption::VALUE_REQUIRED, 'points, same: a folder with a folder a learner')
            ->addOption('spec', null, InputOption::VALUE_REQUIRED, 'points: what is asked; {learner}: a folder’s name')
            ->addOption('rules', null, InputOption::VALUE_REQUIRED, 'points: a plain-ledger/assignment document')
            ->addOption('due', null, InputOption::VALUE_REQUIRED, 'points: when it is due, as 2026-12-01T23:59')
            ->addOption('zone', null, InputOption::VALUE_REQUIRED, 'points: on which clock that is', 'UTC')
            ->addOption('only', null, InputOption::VALUE_REQUIRED, 'roster: the id of one class of it')
            ->addOption('points', null, InputOption::VALUE_REQUIRED, 'gradebook: a table with learner and points')
            ->addOption('column', null, InputOption::VALUE_REQUIRED, 'gradebook: the assignment’s column', 'Points')
            ->setHelp(<<<'HELP'
                points checks each learner's folder or zip against one specification, and judges all by the same rules.
                When the newest file was written is when it was handed in. gradebook prints another system's table with
                those points in it, all else as it was; whose a row is, is found by who is named in it.

                  bin/plain-ledger course points --spec vane.json --rules rules.json --class handed-in > points.csv
                  bin/plain-ledger course points --spec vane.json --class handed-in --due 2026-12-01T23:59
                  bin/plain-ledger course same --class handed-in
                  bin/plain-ledger course roster users.csv enrollments.csv --only lighting
                  bin/plain-ledger course gradebook grades.csv --points points.csv --column "Weathervane study"

                Exit code: 0 done, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $text = match ($input->getArgument('what')) {
            'points' => $this->points($input),
            'same' => $this->same($input),
            'roster' => $this->roster($input),
            'gradebook' => $this->gradebook($input),
            default => throw new InvalidOptionException('Say points, same, roster or gradebook.'),
        };
        $output->write($text, false, OutputInterface::OUTPUT_RAW);

        return 0;
    }

    private function points(InputInterface $input): string
    {
        $spec = $this->text($input, 'spec') ?? throw new InvalidOptionException('--spec is needed: what is asked.');
        $rules = $this->text($input, 'rules');
        $class = new ClassFolder(
            $this->folder($input),
            Inputs::document($spec, Specification::FORMAT),
            $spec,
            $rules === null ? AssignmentRules::plain() : AssignmentRules::read(TextFile::read($rules, $rules), $rules),
            $this->due($input),
        );

        return Csv::of([ClassFolder::HEADINGS, ...iterator_to_array($class->rows(), false)]);
    }

    private function due(InputInterface $input): ?\DateTimeImmutable
    {
        $due = $this->text($input, 'due');
        $zone = (string) $this->text($input, 'zone');
        if (! in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true)) {
            throw new InvalidOptionException('--zone is a time zone, as Europe/Berlin.');
        }
        if ($due === null) {
            return null;
        }
        $at = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $due, new \DateTimeZone($zone));

        return $at === false ? throw new InvalidOptionException('--due is written as 2026-12-01T23:59.') : $at;
    }

    private function same(InputInterface $input): string
    {
        $prints = [];
        foreach (ClassFolder::learners($this->folder($input)) as $learner => $place) {
            $prints[$learner] = DeliveryPrint::of(PlaceListing::of($place));
        }
        $lines = array_map(self::shared(...), SameFiles::among($prints));

        return $lines === [] ? "Nobody's files are another's.\n" : implode("\n", $lines);
    }

    private static function shared(SharedTraits $shared): string
    {
        $kinds = ['same bytes' => $shared->files, 'same pixels' => $shared->pictures, 'same second' => $shared->times];
        $text = Text::shown("{$shared->a} and {$shared->b}")."\n";
        foreach ($kinds as $what => $pairs) {
            foreach ($pairs as [$a, $b]) {
                $text .= "  {$what}  ".Text::shown($a).'  '.Text::shown($b)."\n";
            }
        }
        foreach ($shared->told as [$says]) {
            $text .= '  '.Text::shown($says)."\n";
        }

        return $text;
    }

    private function roster(InputInterface $input): string
    {
        $files = [];
        foreach ($this->files($input) as $path) {
            $files[$path] = FileSource::open($path);
        }
        $roster = RosterFiles::read($files, $this->text($input, 'only'));
        self::note($roster->notes);
        if ($this->text($input, 'only') === null && count($roster->classes) > 1) {
            self::note(array_map(
                static fn (array $c): string => "--only {$c['id']}  {$c['title']}, {$c['people']} enrolled",
                $roster->classes,
            ));
        }

        $rows = array_map(static fn (RosterPerson $p): array => [
            $p->number, $p->name, $p->email, $p->handle, $p->teaches ? 'instructor' : 'learner',
        ], $roster->people);

        return Csv::of([['id', 'name', 'email', 'username', 'role'], ...$rows]);
    }

    private function gradebook(InputInterface $input): string
    {
        $path = $this->files($input)[0];
        $points = $this->text($input, 'points')
            ?? throw new InvalidOptionException('--points is needed: a table with learner and points.');
        [$learners, $earned] = self::earned($points);
        $book = Gradebook::read(TextFile::read($path, $path, self::LARGEST), $path);
        $columns = $book->guess($learners, (string) $this->text($input, 'column'))
            ?? throw CourseRefused::because($path, 'no column of it names anybody who has points.');
        $filled = $book->fill($columns, $learners, $earned);
        self::note([
            Text::count(count($filled->filled), 'row').' filled, by “'.implode(' ', $columns->whose).'”.',
            ...array_map(static fn (string $who): string => "Nobody known: {$who}", $filled->unknown),
            ...array_map(static fn (string $who): string => "In several rows: {$who}", $filled->twice),
            ...array_map(static fn (string $who): string => "In no row: {$who}", $filled->absent),
        ]);

        return $filled->bytes;
    }

    /**
     * @return array{list<CourseLearner>, array<int, string>} who there is, and points by them
     *
     * @throws CourseRefused
     */
    private static function earned(string $path): array
    {
        $rows = SeparatedValues::cells(TextFile::read($path, $path, self::LARGEST), $path);
        $heads = array_map(strtolower(...), $rows[0] ?? []);
        [$whose, $points] = [array_search('learner', $heads, true), array_search('points', $heads, true)];
        if ($whose === false || $points === false) {
            throw CourseRefused::because($path, 'it has no columns “learner” and “points”.');
        }
        $learners = $earned = [];
        foreach (array_slice($rows, 1) as $at => $row) {
            $name = trim($row[$whose] ?? '');
            if ($name !== '') {
                // by whatever they are called here they may be called there
                $learners[] = new CourseLearner($at, $name, $name, $name, $name);
                $earned[$at] = trim($row[$points] ?? '');
            }
        }

        return [$learners, array_filter($earned, static fn (string $p): bool => $p !== '')];
    }

    /** @param  list<string>  $lines */
    private static function note(array $lines): void
    {
        foreach ($lines as $line) {
            fwrite(STDERR, Text::shown($line)."\n");
        }
    }

    private function folder(InputInterface $input): string
    {
        return rtrim($this->text($input, 'class')
            ?? throw new InvalidOptionException('--class is needed: a folder with a folder a learner.'), '/');
    }

    /** @return non-empty-list<string> */
    private function files(InputInterface $input): array
    {
        $files = array_values(array_filter((array) $input->getArgument('files'), is_string(...)));

        return $files === [] ? throw new InvalidOptionException('Say which file.') : $files;
    }

    private function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
