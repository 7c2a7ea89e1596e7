<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('standings', function (Blueprint $table): void {
            // Counting what a candidate has met, by topic and outcome, reads this index and nothing else.
            $table->index(['user_id', 'exam_id', 'topic_id', 'outcome', 'flagged'], 'standings_by_topic');
        });
    }

    public function down(): void
    {
        Schema::table('standings', fn (Blueprint $table) => $table->dropIndex('standings_by_topic'));
    }
};
