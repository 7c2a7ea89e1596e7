<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** A note can hang on the words that are marked. */
    public function up(): void
    {
        Schema::table('highlights', function (Blueprint $table): void {
            $table->text('note')->default('');
        });
    }
};
