<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

/** Which deliverables of a class something is for. */
trait ChosenIds
{
    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), (array) $this->input('ids', [])));
    }
}
