<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('practice_exercises', function (Blueprint $table): void {
            // whether mistakes are to be found, or a specification written for a described job
            $table->string('kind', 20)->default('find');
        });
    }

    public function down(): void
    {
        Schema::table('practice_exercises', fn (Blueprint $table) => $table->dropColumn('kind'));
    }
};
