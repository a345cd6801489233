<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Intake\IntakeFolder;

/** What lies in a folder of the intake, for whoever looks for the right one. */
final readonly class FolderContents
{
    public string $below;

    /** @var list<string> */
    public array $folders;

    /** @var list<string> names of what can be looked into like a folder */
    public array $archives;

    public int $files;

    /** @var list<string> some names */
    public array $sample;

    /** whether there are more folders than are told */
    public bool $more;

    public function __construct(IntakeFolder $folder)
    {
        $contents = $folder->contents();
        $this->below = $contents['below'];
        $this->folders = $contents['folders'];
        $this->archives = $contents['archives'];
        $this->files = $contents['files'];
        $this->sample = $contents['sample'];
        $this->more = $contents['more'];
    }
}
