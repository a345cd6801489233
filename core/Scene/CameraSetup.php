<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

/** The cameras of a scene, as far as it tells of them. */
final readonly class CameraSetup
{
    /**
     * @param  list<string>|null  $chosen  what is set to be rendered
     * @param  list<string>|null  $all  every camera of the scene
     * @param  list<string>|null  $views  working views, which are no cameras
     * @param  array<string, string>  $facts  by `camera.placement` and `camera.lens`: not compared with what is
     *   asked, only with what they were before
     */
    public function __construct(
        public ?array $chosen = null,
        public ?array $all = null,
        public ?array $views = null,
        public array $facts = [],
    ) {}
}
