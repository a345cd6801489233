<?php

declare(strict_types=1);

/** The least that reading a file can cost, which benchmarks compare with: open, stat, 4 KB, the last 64 bytes, close. */
function readPlainly(string $path): void
{
    $file = fopen($path, 'rb') ?: throw new RuntimeException('A file is gone.');
    fstat($file);
    fread($file, 4096);
    fseek($file, -64, SEEK_END);
    fread($file, 64);
    fclose($file);
}

function readFolderPlainly(string $folder): void
{
    $handle = opendir($folder) ?: throw new RuntimeException('The folder is gone.');
    while (($name = readdir($handle)) !== false) {
        if ($name[0] !== '.') {
            readPlainly("{$folder}/{$name}");
        }
    }
    closedir($handle);
}
