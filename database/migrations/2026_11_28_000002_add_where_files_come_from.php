<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('sheet_links', function (Blueprint $table): void {
            $table->string('kind', 10)->default('sheet');
        });
        Schema::table('deliveries', function (Blueprint $table): void {
            $table->string('origin', 10)->default('intake');
            // of one that was uploaded: its file in the storage
            $table->string('archive', 100)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('sheet_links', function (Blueprint $table): void {
            $table->dropColumn('kind');
        });
        Schema::table('deliveries', function (Blueprint $table): void {
            $table->dropColumn(['origin', 'archive']);
        });
    }
};
