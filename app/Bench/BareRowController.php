<?php

declare(strict_types=1);

namespace App\Bench;

use App\Account\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What a save is measured against: a signed-in route that writes one row for good. There is none but in a bench. */
final class BareRowController
{
    public const TABLE = 'bench_rows';

    public function __invoke(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $data = $request->validate(['tab' => ['required', 'string'], 'events' => ['required', 'array']]);
        $value = json_encode($data, JSON_THROW_ON_ERROR);
        DB::transaction(fn () => DB::table(self::TABLE)->insert(['user_id' => $user->id, 'value' => $value]));

        return new JsonResponse(['kept' => true]);
    }
}
