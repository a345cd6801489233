<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('delivered_trees', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('intake_root_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->text('folder');
            $table->string('state', 10);
            $table->text('fault')->nullable();
            $table->text('progress')->nullable();
            // keys of deliverables by the place of what was assigned to them
            $table->text('by_hand')->nullable();
            $table->binary('scanned')->nullable();
            $table->binary('report')->nullable();
            $table->timestamp('seen_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('delivered_trees');
    }
};
