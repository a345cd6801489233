<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('deliverables', function (Blueprint $table): void {
            // out of the way, and to be put back
            $table->timestamp('put_away_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('deliverables', fn (Blueprint $table) => $table->dropColumn('put_away_at'));
    }
};
