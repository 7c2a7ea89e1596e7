<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** A note can belong to a test as a whole. */
    public function up(): void
    {
        Schema::table('sittings', function (Blueprint $table): void {
            $table->string('note_title')->default('');
            $table->text('note')->default('');
        });
    }
};
