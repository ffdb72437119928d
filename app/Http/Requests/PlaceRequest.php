<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\App\Destinations\Places;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceSettings;

/** Where a service is, as somebody has typed it. */
final class PlaceRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', 'max:16'],
            'url' => ['nullable', 'string', 'max:500'],
            'user' => ['nullable', 'string', 'max:200'],
            'password' => ['nullable', 'string', 'max:500'],
            'forget' => ['nullable', 'boolean'],
            'pace' => ['nullable', 'string', 'max:12'],
            'timeout' => ['nullable', 'string', 'max:12'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => __('publishing.places.fault')];
    }

    /**
     * The settings; a password that was left empty is the one that is kept, as long as the server stays the same.
     *
     * @throws \Nomada\Core\Fault
     */
    public function settings(ExternalService $service, Places $places): PlaceSettings
    {
        $typed = fn (string $field): string => (string) $this->validated($field);
        $of = fn (string $password): PlaceSettings => PlaceSettings::typed(
            $service,
            $typed('kind'),
            $typed('url'),
            $typed('user'),
            $password,
            $typed('pace'),
            $typed('timeout'),
        );
        $new = $of($typed('password'));
        $old = $places->of($service);

        return $new->password === '' && ! $this->boolean('forget') && ! $new->isElsewhere($old)
            ? $of($old->password)
            : $new;
    }
}
