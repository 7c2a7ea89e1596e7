<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Http\Contract\ProblemView;
use App\Http\Refusal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** All that is a person's, out of here and in again. */
final readonly class MyDataController
{
    private const MEMORY = '512M';

    private const SECONDS = 900;

    public function __construct(private Packer $packer, private Unpacker $unpacker)
    {
    }

    #[
        OA\Get(
            path: '/api/my-data',
            operationId: 'takeMyDataAway',
            summary: 'Take my data away',
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'An archive (ZIP): JSON with its schemas, tables, drawings and pictures.',
                    content: new OA\MediaType(
                        mediaType: 'application/zip',
                        schema: new OA\Schema(type: 'string', format: 'binary'),
                    ),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'It could not be done; the message says why.',
                    content: new OA\JsonContent(ref: ProblemView::class),
                ),
            ],
        ),
    ]
    public function pack(#[CurrentUser] User $user): BinaryFileResponse
    {
        ini_set('memory_limit', self::MEMORY);
        $response = new BinaryFileResponse($this->packer->pack($user), headers: ['Content-Type' => 'application/zip']);
        $response->setContentDisposition('attachment', 'uplandia-my-data.zip')->deleteFileAfterSend();

        return $response;
    }

    #[
        OA\Post(
            path: '/api/my-data',
            operationId: 'takeMyDataIn',
            summary: 'Take my data in',
            requestBody: new OA\RequestBody(
                required: true,
                content: new OA\MediaType(
                    mediaType: 'application/zip',
                    schema: new OA\Schema(type: 'string', format: 'binary'),
                ),
            ),
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'All of it is here now.',
                    content: new OA\JsonContent(ref: TakenInView::class),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'It could not be done; the message says why. Nothing was taken in.',
                    content: new OA\JsonContent(ref: ProblemView::class),
                ),
            ],
        ),
    ]
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
