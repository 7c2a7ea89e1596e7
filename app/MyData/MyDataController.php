<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** All that is a person's, out of here and in again. */
final readonly class MyDataController
{
    private const MEMORY = '512M';

    private const SECONDS = 900;

    public function __construct(private Packer $packer, private Unpacker $unpacker)
    {
    }

    #[Operation('Take my data away', returns: 'application/zip')]
    public function pack(#[CurrentUser] User $user): BinaryFileResponse
    {
        ini_set('memory_limit', self::MEMORY);
        $response = new BinaryFileResponse($this->packer->pack($user), headers: ['Content-Type' => 'application/zip']);
        $response->setContentDisposition('attachment', 'uplandia-my-data.zip')->deleteFileAfterSend();

        return $response;
    }

    #[Operation('Take my data in', returns: TakenInView::class, file: 'application/zip')]
    public function unpack(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        if ($user->made_up_as !== null) {
            throw Refusal::unmet(
                'demo_person',
                'The people of the demo stay as they are. Make an account of your own to try this.',
            );
        }
        ini_set('memory_limit', self::MEMORY);
        // Sixty thousand answers take a minute and a half.
        set_time_limit(self::SECONDS);
        $path = (string) tempnam(sys_get_temp_dir(), 'uplandia-');
        try {
            file_put_contents($path, $request->getContent());

            return new JsonResponse($this->unpacker->unpack($user, $path));
        } finally {
            @unlink($path);
        }
    }
}
