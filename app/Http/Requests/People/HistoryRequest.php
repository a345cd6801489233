<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Http\Moment;
use App\Models\About;
use App\Models\Act;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** Which acts are looked for: of whom, about what, with which words, between which days. What is none is left out. */
final class HistoryRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [];
    }

    /** @return array{about: string, who: string, text: string, from: string, until: string} as they stand in fields */
    public function filters(): array
    {
        return [
            'about' => About::tryFrom($this->word('about'))->value ?? '',
            'who' => $this->word('who'),
            'text' => $this->word('text'),
            'from' => $this->day('from')?->format('Y-m-d') ?? '',
            'until' => $this->day('until')?->format('Y-m-d') ?? '',
        ];
    }

    /**
     * @param  int|null  $production  whose; null: the installation's
     * @return Builder<Act> the newest first
     */
    public function acts(?int $production): Builder
    {
        $filters = $this->filters();

        return Act::query()->where('production_id', $production)->lookedFor(
            About::tryFrom($filters['about']),
            $filters['who'] === '' ? null : $filters['who'],
            $filters['text'],
            $this->day('from')?->utc(),
            $this->day('until')?->addDay()->utc(),
        )->orderByDesc('id');
    }

    public function number(): int
    {
        return max(1, min(1_000_000, $this->integer('page', 1)));
    }

    private function word(string $name): string
    {
        $given = $this->query($name);

        return is_string($given) ? mb_substr(trim($given), 0, 120) : '';
    }

    /** Midnight on the reader's clock. */
    private function day(string $name): ?Carbon
    {
        $given = $this->word($name);

        return preg_match('~^\d{4}-\d{2}-\d{2}$~', $given) === 1 && strtotime($given) !== false
            ? Carbon::parse($given, Moment::zone())
            : null;
    }
}
