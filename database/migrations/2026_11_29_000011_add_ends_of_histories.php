<?php

declare(strict_types=1);

use App\Audit\Chain;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('history_ends', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->unique()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('sum', 64);
            $table->string('key', 60);
            $table->string('signature', 120);
        });
        Chain::signEnds();
    }

    public function down(): void
    {
        Schema::dropIfExists('history_ends');
    }
};
