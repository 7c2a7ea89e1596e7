<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class() extends Migration
{
    public function up(): void
    {
        Schema::table('readings', function (Blueprint $table): void {
            // The page in a browser that told it last, and how many it had told before.
            $table->string('reader', 64)->nullable();
            $table->unsignedInteger('turn')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('readings', fn (Blueprint $table) => $table->dropColumn(['reader', 'turn']));
    }
};
