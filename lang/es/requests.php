<?php

// Cambios que los docentes piden a coordinación.
return [
    'title' => 'Solicitudes',
    'sum' => '{0} Nada por decidir|{1} 1 solicitud por decidir|[2,*] :count solicitudes por decidir',
    'none' => 'No hay solicitudes abiertas',
    'none_hint' => 'Lo que los docentes pueden cambiar por su cuenta se decide en «Qué pueden hacer los docentes».',
    'none_own' => 'Lo que no puedas cambiar por tu cuenta se convierte aquí en una solicitud.',
    'decided' => 'Decididas',
    'decide' => 'Decidir',
    'columns' => ['section' => 'Grupo', 'what' => 'Cambio', 'by' => 'Lo pide', 'state' => 'Decisión'],
    'states' => [
        'open' => 'a la espera de coordinación',
        'accepted' => 'aceptada',
        'declined' => 'rechazada',
        'withdrawn' => 'retirada',
    ],
    'answer' => 'Respuesta para el docente (opcional)',
    'accept' => 'Aceptar y guardar',
    'decline' => 'Rechazar',
    'withdraw' => 'Retirar',
    'clear' => 'Sin coincidencias.',
    'closed' => 'Fuera del horario del centro.',
    'clashes' => 'Coincidencias en :count día más.|Coincidencias en :count días más.',
    'why' => 'Motivo, por si tiene que decidir coordinación',
    'notes' => [
        'own' => 'Puedes cambiar esta sesión por tu cuenta.',
        'own_until' => 'Puedes moverla o cancelarla por tu cuenta hasta el :until. Después, o si hay coincidencias, '
            .'decide coordinación.',
        'late' => 'Empieza en menos de :hours horas, así que decide coordinación.',
        'ask' => 'Coordinación decide si se mueve o se cancela.',
        'no' => 'Solo coordinación mueve o cancela sesiones.',
        'make_up' => [
            'yes' => 'Puedes recuperarla por tu cuenta. Una hora con coincidencias o fuera del horario será '
                .'una solicitud.',
            'ask' => 'Coordinación decide si se recupera.',
            'no' => 'Solo coordinación añade sesiones.',
        ],
    ],
];
