<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Specifications\RenameSpecification;
use App\Http\Pages\Production\RevisionsPage;
use App\Http\Requests\Specification\RevisionsRequest;
use App\Http\Requests\Specification\TitleRequest;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** A specification and its revisions. */
final class SpecificationController
{
    public function show(
        RevisionsRequest $request,
        #[CurrentUser] User $reader,
        Specification $specification,
    ): Response {
        return (new RevisionsPage($specification, $reader, $request->from(), $request->to()))->render();
    }

    public function update(
        TitleRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        RenameSpecification $rename,
    ): RedirectResponse {
        $rename->run($specification, $request->string('title')->toString(), $by);

        return back();
    }
}
