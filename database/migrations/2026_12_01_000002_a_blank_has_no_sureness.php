<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** How sure one is can be said before the answer; of an answer that never came, or was taken back, it says nothing. */
    public function up(): void
    {
        DB::table('outcomes')->whereNull('response')->whereNotNull('sureness')->update(['sureness' => null]);
    }
};
