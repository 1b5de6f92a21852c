import { Module, type DynamicModule } from '@nestjs/common'
import { AccessController } from './access.controller'
import { AccessService } from './access.service'
import { NETWORK, type Network } from './network'

@Module({})
export class AccessModule {
  static of(network: Network | undefined): DynamicModule {
    return {
      module: AccessModule,
      controllers: [AccessController],
      providers: [AccessService, { provide: NETWORK, useValue: network }],
    }
  }
}
