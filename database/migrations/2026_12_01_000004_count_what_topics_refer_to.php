<?php

declare(strict_types=1);

use App\Question\Tallies;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What the exam's page tells of each topic must not be counted over the whole bank. */
    public function up(): void
    {
        Schema::create('topic_sections', function (Blueprint $table): void {
            $table->foreignId('topic_id')->constrained()->cascadeOnDelete();
            $table->string('section');
            $table->unsignedInteger('questions');
            $table->primary(['topic_id', 'section']);
        });
        foreach (DB::table('exams')->pluck('id') as $exam) {
            app(Tallies::class)->renew((int) $exam);
        }
    }
};
