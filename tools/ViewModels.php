<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use ReflectionClass;
use ReflectionProperty;

/** The classes that pages are given. */
final class ViewModels
{
    /**
     * @param  string  $app  the folder of the application
     * @return list<class-string> those with something that is public
     */
    public static function below(string $app): array
    {
        $classes = [];
        foreach (glob("{$app}/Http/Pages/*/*.php") ?: [] as $file) {
            /** @var class-string $class */
            $class = 'App\\'.strtr(substr($file, strlen($app) + 1, -4), '/', '\\');
            $reflection = new ReflectionClass($class);
            if ($reflection->isReadOnly() && $reflection->getProperties(ReflectionProperty::IS_PUBLIC) !== []) {
                $classes[] = $class;
            }
        }

        return $classes;
    }
}
