<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Nomada\App\Actions\Registration\TakeReplies;
use Nomada\App\Http\Controllers\Controller;

/** Answers to invitations as a mail server hands them on: the message as it is, to a signed address. */
final class ReplyController extends Controller
{
    public function __invoke(Request $request, TakeReplies $take): Response
    {
        $message = $request->getContent();
        abort_if(strlen($message) > TakeReplies::MOST, 413);
        $taken = $take->message($message);

        return $taken === null
            ? response((string) __('registration.replies.none'), 422)
            : response((string) trans_choice('registration.replies.taken', $taken));
    }
}
