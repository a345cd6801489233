<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\PassList;
use PlainLedger\Core\Specification\RequirementValue;

/** Passes, all of which are meant, and what is asked of one alone. */
final readonly class PassesFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return trim($text);
    }

    public function meansAll(Descriptor $descriptor): bool
    {
        return true;
    }

    public function write(RequirementValue $value): mixed
    {
        return $value->values === [] ? parent::write($value) : array_map(
            static fn (string $name): mixed => isset($value->own[$name])
                ? ['name' => $name, 'require' => $value->own[$name]]
                : $name,
            $value->values,
        );
    }

    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        return $this->fromList($descriptor, PassList::parse($text));
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        return ! array_key_exists('value', $json) && isset($json['name'])
            ? $this->fromList($descriptor, [$json])
            : parent::fromObject($descriptor, $json);
    }

    protected function fromList(Descriptor $descriptor, array $json): RequirementValue
    {
        $names = [];
        $own = [];
        foreach ($json as $pass) {
            $name = trim(is_array($pass) ? Scalar::text($pass['name'] ?? '') : Scalar::text($pass));
            if ($name === '') {
                throw NotUnderstood::because('a pass needs a name.');
            }
            $names[] = $name;
            if (is_array($pass) && isset($pass['require'])) {
                $own[$name] = self::ownOf($name, $pass['require']);
            }
        }
        if ($names === []) {
            throw NotUnderstood::because('the list of passes is empty.');
        }

        return RequirementValue::oneOf($names)->ofPasses(
            array_filter($own, static fn (array $require): bool => $require !== []),
        );
    }

    /** @return array<string, mixed> */
    private static function ownOf(string $pass, mixed $require): array
    {
        if (! is_array($require) || ($require !== [] && array_is_list($require))) {
            throw NotUnderstood::because(
                "what is asked of the pass “{$pass}” alone must be an object, and "
                    .JsonDocument::typeOf($require)
                    .' stands there.',
            );
        }

        /** @var array<string, mixed> $require */
        return $require;
    }
}
