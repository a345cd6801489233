<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            // both are kept encrypted; a code holds once
            $table->text('code_secret')->nullable();
            $table->text('recovery_codes')->nullable();
            $table->timestamp('codes_since')->nullable();
            $table->unsignedBigInteger('code_step')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn([
            'code_secret', 'recovery_codes', 'codes_since', 'code_step',
        ]));
    }
};
